import { configureStore, createListenerMiddleware, isFulfilled, isPending, isRejected } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { shopApi } from '../api/shop-api'
import { problemWords } from '../words/problems'
import { kept, notKept, savingSlice, sent } from './saving'
import { keepSettings, settingsSlice } from './settings'

const listener = createListenerMiddleware()

export const store = configureStore({
  reducer: {
    [shopApi.reducerPath]: shopApi.reducer,
    [settingsSlice.name]: settingsSlice.reducer,
    [savingSlice.name]: savingSlice.reducer,
  },
  middleware: (usual) => usual({ serializableCheck: false, immutableCheck: false }).prepend(listener.middleware).concat(shopApi.middleware),
})

export type RootState = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<RootState>()

const settingsOf = (state: unknown): RootState['settings'] => (state as RootState).settings
const isWrite = (action: { meta?: unknown }): boolean => (action.meta as { arg?: { type?: string } } | undefined)?.arg?.type === 'mutation'

listener.startListening({
  predicate: (_, now, before) => settingsOf(now) !== settingsOf(before),
  effect: (_, api) => {
    keepSettings(settingsOf(api.getState()))
  },
})
listener.startListening({ predicate: (action) => isPending(action) && isWrite(action), effect: (_, { dispatch }) => void dispatch(sent()) })
listener.startListening({
  predicate: (action) => isFulfilled(action) && isWrite(action),
  effect: (_, { dispatch }) => void dispatch(kept(new Date().toISOString())),
})
listener.startListening({
  predicate: (action) => isRejected(action) && isWrite(action),
  effect: (action, { dispatch }) => {
    dispatch(notKept(problemWords((action as { payload?: unknown }).payload)))
  },
})
