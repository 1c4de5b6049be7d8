import type { CoatState, Method, Place, Rounds, Station } from '@merry-tailor/core'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** How one ticket is being measured on this device: order, rounds, tool and circumstances. Never the shop's data. */
export interface BenchState {
  /** Stations the dog decided to do first. */
  first: Station[]
  /** Tapes nobody needs that the fitter wants all the same. */
  extra: string[]
  rounds: Rounds
  /** End of the rest between two rounds, as a moment; `null` when nobody rests. */
  restUntil: string | null
  method: Method | null
  coat: CoatState | null
  postureDoubt: string
  chalkMark: boolean
  remark: string
  side: Place | null
  /** Prompts at the dog that are done. */
  done: string[]
}

export const FRESH_BENCH: BenchState = {
  first: [],
  extra: [],
  rounds: 'together',
  restUntil: null,
  method: null,
  coat: null,
  postureDoubt: '',
  chalkMark: false,
  remark: '',
  side: null,
  done: [],
}

const nothing: Record<string, BenchState> = {}

export const benchSlice = createSlice({
  name: 'bench',
  initialState: nothing,
  reducers: {
    benchChanged: (state, { payload: { ticketId, ...change } }: PayloadAction<{ ticketId: string } & Partial<BenchState>>) => {
      state[ticketId] = { ...(state[ticketId] ?? FRESH_BENCH), ...change }
    },
  },
})

export const { benchChanged } = benchSlice.actions
