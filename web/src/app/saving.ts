import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { RefusedWrite } from '../api/device-store'

/** What the header says: when the server last kept something, what waits on this device, and what was refused. */
export interface Saving {
  savedAt: string | null
  /** A write that was refused at once; it is said where it was done, and here. */
  failure: string | null
  /** Writes kept here, not sent. */
  waiting: number
  /** Is the server there? */
  reached: boolean
  /** Writes of earlier that the server refused when they were sent: somebody must decide. */
  refused: RefusedWrite[]
}

const nothing: Saving = { savedAt: null, failure: null, waiting: 0, reached: true, refused: [] }

export const savingSlice = createSlice({
  name: 'saving',
  initialState: nothing,
  reducers: {
    kept: (state, action: PayloadAction<string>) => {
      state.savedAt = action.payload
      state.failure = null
    },
    keptHere: (state) => {
      state.failure = null
    },
    notKept: (state, action: PayloadAction<string>) => {
      state.failure = action.payload
    },
    outboxChanged: (state, action: PayloadAction<Pick<Saving, 'waiting' | 'reached' | 'refused'>>) => {
      const emptied = state.waiting > 0 && action.payload.waiting === 0
      Object.assign(state, action.payload)
      if (emptied) state.savedAt = new Date().toISOString()
    },
  },
})

export const { kept, keptHere, notKept, outboxChanged } = savingSlice.actions
