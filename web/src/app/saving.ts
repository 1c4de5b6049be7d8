import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** What the header says: when the server last kept something, and what it could not keep. */
export interface Saving {
  waiting: number
  savedAt: string | null
  failure: string | null
}

const nothing: Saving = { waiting: 0, savedAt: null, failure: null }

export const savingSlice = createSlice({
  name: 'saving',
  initialState: nothing,
  reducers: {
    sent: (state) => {
      state.waiting += 1
    },
    kept: (state, action: PayloadAction<string>) => {
      state.waiting = Math.max(0, state.waiting - 1)
      state.savedAt = action.payload
      state.failure = null
    },
    notKept: (state, action: PayloadAction<string>) => {
      state.waiting = Math.max(0, state.waiting - 1)
      state.failure = action.payload
    },
  },
})

export const { sent, kept, notKept } = savingSlice.actions
