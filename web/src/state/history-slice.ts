import { didAct, NO_HISTORY, type Act, type History } from '@merry-tailor/core'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

const nothing: Record<string, History> = {}

/** What was done on each ticket on this device, so that it can be taken back. */
export const historySlice = createSlice({
  name: 'history',
  initialState: nothing,
  reducers: {
    did: (state, { payload: { ticketId, act } }: PayloadAction<{ ticketId: string; act: Act }>) => {
      state[ticketId] = didAct(state[ticketId] ?? NO_HISTORY, act)
    },
    /** The server refused it: it was never done. */
    refused: (state, { payload: { ticketId, act } }: PayloadAction<{ ticketId: string; act: Act }>) => {
      const history = state[ticketId]
      if (history) history.done = history.done.filter((each) => !('id' in each && 'id' in act && each.id === act.id))
    },
    became: (state, { payload: { ticketId, history } }: PayloadAction<{ ticketId: string; history: History }>) => {
      state[ticketId] = history
    },
  },
})

export const { did, refused, became } = historySlice.actions
