import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { RefusedWrite } from '../api/kept'
import type { OutboxState } from '../api/outbox'

/** What the header says: when the server last kept something, what waits on this device, and what was refused. */
export interface Saving {
  savedAt: string | null
  /** A write that was refused at once; it is said where it was done, and here. */
  failure: string | null
  /** Writes kept here, not sent. */
  waiting: number
  /** Is the server there? */
  reached: boolean
  /** Why the server could not take what it was sent, in its words. */
  why: string | null
  /** Writes of earlier that the server refused when they were sent: somebody must decide. */
  refused: RefusedWrite[]
  /** How many are held back by each refused one. */
  held: Readonly<Record<number, number>>
  /** Writes that wait for another book. */
  elsewhere: number
  /** Why this device can keep nothing. */
  cannotKeep: string | null
}

const nothing: Saving = { savedAt: null, failure: null, waiting: 0, reached: true, why: null, refused: [], held: {}, elsewhere: 0, cannotKeep: null }

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
    outboxChanged: (state, { payload }: PayloadAction<Omit<OutboxState, 'writes'>>) => {
      const { savedAt, ...rest } = payload
      Object.assign(state, rest)
      if (savedAt !== null) state.savedAt = savedAt
    },
  },
})

export const { kept, keptHere, notKept, outboxChanged } = savingSlice.actions
