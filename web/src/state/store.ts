import { configureStore, createListenerMiddleware, isFulfilled, isRejected } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { useDispatch, useSelector } from 'react-redux'
import { watchArrivals } from '../api/arrivals'
import { newsSlice, startNews } from '../api/news'
import { outbox, type OutboxState } from '../api/outbox'
import { pruneKept } from '../api/prune-kept'
import { shopApi } from '../api/shop-api'
import { historySlice } from './history-slice'
import { benchSlice } from './bench-slice'
import { problemWords } from '../words/problems'
import { kept, keptHere, notKept, outboxChanged, savingSlice } from './saving'
import { followShop, keepSettings, settingsSlice } from './settings'

const listener = createListenerMiddleware()

export const store = configureStore({
  reducer: {
    [shopApi.reducerPath]: shopApi.reducer,
    [settingsSlice.name]: settingsSlice.reducer,
    [savingSlice.name]: savingSlice.reducer,
    [historySlice.name]: historySlice.reducer,
    [benchSlice.name]: benchSlice.reducer,
    [newsSlice.name]: newsSlice.reducer,
  },
  middleware: (usual) => usual({ serializableCheck: false, immutableCheck: false }).prepend(listener.middleware).concat(shopApi.middleware),
})

export type RootState = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<RootState>()

const settingsOf = (state: unknown): RootState['settings'] => (state as RootState).settings
interface Meta {
  arg?: { type?: string }
  baseQueryMeta?: { keptHere?: boolean }
}
const metaOf = (action: unknown): Meta => (action as { meta?: Meta }).meta ?? {}
const isWrite = (action: unknown): boolean => metaOf(action).arg?.type === 'mutation'

listener.startListening({
  predicate: (_, now, before) => settingsOf(now) !== settingsOf(before),
  effect: (_, api) => {
    keepSettings(settingsOf(api.getState()))
  },
})
listener.startListening({
  predicate: (action) => isFulfilled(action) && isWrite(action),
  effect: (action, { dispatch }) => void dispatch(metaOf(action).baseQueryMeta?.keptHere ? keptHere() : kept(new Date().toISOString())),
})
listener.startListening({
  predicate: (action) => isRejected(action) && isWrite(action),
  effect: (action, { dispatch }) => {
    dispatch(notKept(problemWords((action as { payload?: unknown }).payload)))
  },
})
listener.startListening({
  matcher: shopApi.endpoints.shop.matchFulfilled,
  effect: (action, { dispatch }) => void dispatch(followShop(action.payload)),
})

/** What the outbox says of itself, without the writes: those are read where answers are shown. */
function shownOf({ writes: _, ...state }: OutboxState): Omit<OutboxState, 'writes'> {
  return state
}

/** Watches the outbox and what comes in: called once, by the page and by tests. */
export function watchOutbox(): () => void {
  const stops = [outbox.onChange((state) => void store.dispatch(outboxChanged(shownOf(state)))), watchArrivals(store)]
  return () => {
    for (const stop of stops) stop()
  }
}

/** Begins to work: called once, by the page. */
export function startStore(): void {
  setupListeners(store.dispatch)
  watchOutbox()
  void outbox.start()
  void pruneKept()
  startNews(store)
}
