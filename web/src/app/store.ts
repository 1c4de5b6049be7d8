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

const listen: typeof listener.startListening = (options) => listener.startListening(options)
const isWrite = (action: { meta?: unknown }): boolean => (action.meta as { arg?: { type?: string } } | undefined)?.arg?.type === 'mutation'

listen({
  predicate: (_, now, before) => now.settings !== before.settings,
  effect: (_, { getState }) => {
    keepSettings(getState().settings)
  },
})
listen({ predicate: (action) => isPending(action) && isWrite(action), effect: (_, { dispatch }) => void dispatch(sent()) })
listen({ predicate: (action) => isFulfilled(action) && isWrite(action), effect: (_, { dispatch }) => void dispatch(kept(new Date().toISOString())) })
listen({
  predicate: (action) => isRejected(action) && isWrite(action),
  effect: (action, { dispatch }) => {
    dispatch(notKept(problemWords((action as { payload?: unknown }).payload)))
  },
})
