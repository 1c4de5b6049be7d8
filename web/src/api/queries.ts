import {
  USUAL_SHOP,
  type Booking,
  type Car,
  type ComingBack,
  type Day,
  type Dog,
  type DogSheet,
  type DogsPage,
  type Fitter,
  type FamilyId,
  type ForetoldPair,
  type Found,
  type Owner,
  type Piece,
  type Rig,
  type Reminder,
  type ShopFields,
  type SetOnDog,
  type SizeTable,
  type Supply,
  type TicketSheet,
} from '@merry-tailor/core'
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import { useDispatch, useSelector } from 'react-redux'
import type { DogsAsked } from './dogs-page'
import type { NamedWrite } from './named-writes'
import type { rowsAnew } from './over-day'
import { outbox } from './outbox'
import { mayTouch, withWrites } from './recipes'
import { pathOf, shopApi, type Drawer, type QueryName } from './shop-api'

/** What a screen is told of a question: the server's answer with everything done over it that waits here. */
export interface Shown<T> {
  data: T | undefined
  error: unknown
  isLoading: boolean
  isFetching: boolean
  refetch: () => unknown
}

interface Options {
  skip?: boolean
  refetchOnMountOrArgChange?: boolean
}

/** Everything done here that no answer has come for, in order. */
const useWaiting = (): readonly NamedWrite[] => useSyncExternalStore(subscribe, () => outbox.state.writes)

/** What of it may be about a question: the very same list as long as nothing else that is comes or goes. */
function waitingFor(path: string): () => readonly NamedWrite[] {
  let [all, own]: [readonly NamedWrite[], readonly NamedWrite[]] = [NOTHING, NOTHING]
  return () => {
    if (outbox.state.writes === all) return own
    all = outbox.state.writes
    const next = all.filter((write) => mayTouch(path, write))
    if (next.length !== own.length || next.some((write, i) => write !== own[i])) own = next
    return own
  }
}
const NOTHING: readonly NamedWrite[] = []
const subscribe = (listener: () => void): (() => void) => outbox.onChange(listener)

type RawHook<A> = (arg: A, options?: Options) => { data?: unknown; error?: unknown; isLoading: boolean; isFetching: boolean; refetch: () => unknown }

/** The one place where what waits is done over what the server said. */
function shown<T, A>(name: QueryName, raw: RawHook<A>) {
  return (arg: A, options?: Options): Shown<T> => {
    const { data, error, isLoading, isFetching, refetch } = raw(arg, options)
    const path = pathOf(name, arg)
    const writes = useSyncExternalStore(
      subscribe,
      useMemo(() => waitingFor(path), [path]),
    )
    const known = options?.skip ? undefined : data
    const over = useMemo(
      () =>
        (options?.skip || (known === undefined && error === undefined) ? known : (withWrites(path, known ?? null, writes) ?? known)) as T | undefined | null,
      [path, known, error, writes, options?.skip],
    )
    const found = over ?? undefined
    return { data: found, error: found === undefined ? error : undefined, isLoading, isFetching, refetch }
  }
}

export const useTicketQuery = shown<TicketSheet, string>('ticket', shopApi.useTicketQuery)
export const useDogsQuery = shown<Dog[], undefined>('dogs', shopApi.useDogsQuery)
export const useDogsPageQuery = shown<DogsPage, DogsAsked>('dogsPage', shopApi.useDogsPageQuery)
const useNewestOfDog = shown<DogSheet, string>('dogNewest', shopApi.useDogNewestQuery)
const useWholeDog = shown<DogSheet, string>('dog', shopApi.useDogQuery)
/** A dog: its newest readings at once, those of years before right after. */
export function useDogQuery(id: string, options?: Options): Shown<DogSheet> {
  const newest = useNewestOfDog(id, options)
  const isLong = (newest.data?.more ?? 0) > 0
  const whole = useWholeDog(id, { ...options, skip: options?.skip === true || !isLong })
  return isLong && whole.data ? whole : newest
}
export const useOwnersQuery = shown<Owner[], undefined>('owners', shopApi.useOwnersQuery)
export const useSizeTablesQuery = shown<SizeTable[], undefined>('sizeTables', shopApi.useSizeTablesQuery)
export const usePiecesQuery = shown<Piece[], undefined>('pieces', shopApi.usePiecesQuery)
export const useCarsQuery = shown<Car[], undefined>('cars', shopApi.useCarsQuery)
export const useRigsQuery = shown<Rig[], undefined>('rigs', shopApi.useRigsQuery)
export const useBookingsQuery = shown<Booking[], undefined>('bookings', shopApi.useBookingsQuery)
export const useFittersQuery = shown<Fitter[], undefined>('fitters', shopApi.useFittersQuery)
export const useShopQuery = shown<ShopFields, undefined>('shop', shopApi.useShopQuery)
export const useSupplyQuery = shown<Supply[], undefined>('supply', shopApi.useSupplyQuery)
export const useFindQuery = shown<Found[], string>('find', shopApi.useFindQuery)
export const useForetoldQuery = shown<ForetoldPair[], undefined>('foretold', shopApi.useForetoldQuery)
export const useSetOnDogsQuery = shown<SetOnDog[], FamilyId>('setOnDogs', shopApi.useSetOnDogsQuery)
export const useCopiesQuery = shown<Drawer, undefined>('copies', shopApi.useCopiesQuery)
export const useRemindersQuery = shown<{ again: Reminder[]; back: ComingBack[] }, string>('reminders', shopApi.useRemindersQuery)

interface CachedState {
  [shopApi.reducerPath]: ReturnType<typeof shopApi.reducer>
}

/** What works rows out anew knows every kind of gear and each tape: it comes once something waits. */
type OverDay = typeof rowsAnew
let overDay: OverDay | null = null
export const fetchOverDay = async (): Promise<OverDay> => (overDay ??= (await import('./over-day')).rowsAnew)

function useOverDay(wanted: boolean): OverDay | null {
  const [there, setThere] = useState(overDay)
  useEffect(() => {
    if (!wanted || there) return
    // Without it the list is shown as it was answered.
    void fetchOverDay().then(setThere, () => undefined)
  }, [wanted, there])
  return there
}

const UNREAD = {}
const unread = { selectFromResult: () => UNREAD }
/** Keeps at hand what every screen leans on; who shows it reads it. */
export function useKeptAtHand(on: string): void {
  shopApi.useDayQuery(on, { ...unread, refetchOnMountOrArgChange: true })
  shopApi.useSizeTablesQuery(undefined, unread)
}

/** Today's list, with what waits here in it. */
export function useDayQuery(on: string): Shown<Day> {
  const { data, error, isLoading, isFetching, refetch } = shopApi.useDayQuery(on, { refetchOnMountOrArgChange: true })
  const writes = useWaiting()
  const rules = useShopQuery(undefined).data ?? USUAL_SHOP
  const cache = useSelector((state: CachedState) => state[shopApi.reducerPath])
  const anew = useOverDay(writes.length > 0)
  const over = useMemo(() => {
    if (!anew) return data
    if (!data)
      return writes.some((write) => write.endpoint === 'addTicket') && error ? anew.overDay({ on, rows: [], work: [] }, writes, () => undefined, rules) : data
    return anew.overDay(data, writes, (id) => shopApi.endpoints.ticket.select(id)({ [shopApi.reducerPath]: cache }).data, rules)
  }, [data, error, on, writes, rules, cache, anew])
  return { data: over, error: over ? undefined : error, isLoading, isFetching, refetch }
}

export const {
  useActMutation,
  useAddTicketMutation,
  useAddDogMutation,
  useChangeDogMutation,
  useAddDogNoteMutation,
  useChangeDogNoteMutation,
  useAddWeighingMutation,
  useAddDogJoinMutation,
  useChangeDogJoinMutation,
  useAddPhotoMutation,
  useRemovePhotoMutation,
  useAddOwnerMutation,
  useChangeOwnerMutation,
  useAddSizeTableMutation,
  useChangeShopMutation,
  useAddFitterMutation,
  useChangeFitterMutation,
  useAddPieceMutation,
  useChangePieceMutation,
  useAddRigMutation,
  useChangeRigMutation,
  useAddCarMutation,
  useChangeCarMutation,
  useAddOutingMutation,
  useChangeOutingMutation,
  useAddTracingMutation,
  useAddBootOutingMutation,
  useChangeBootOutingMutation,
  useChangeBookingMutation,
  useTakeKennelListMutation,
  useTakeBodySheetMutation,
  useMakeCopyMutation,
} = shopApi

/** Several tickets' sheets at once, by their ids; those not there yet are left out. */
export function useSheets(ids: readonly string[]): ReadonlyMap<string, TicketSheet> {
  const dispatch = useDispatch() as (action: unknown) => { unsubscribe: () => void }
  const key = ids.join(' ')
  useEffect(() => {
    const asked = key === '' ? [] : key.split(' ').map((id) => dispatch(shopApi.endpoints.ticket.initiate(id)))
    return () => {
      for (const each of asked) each.unsubscribe()
    }
  }, [dispatch, key])
  const writes = useWaiting()
  const cache = useSelector((state: CachedState) => state[shopApi.reducerPath])
  return useMemo(() => {
    const found = key === '' ? [] : key.split(' ')
    return new Map(
      found.flatMap((id) => {
        const known = shopApi.endpoints.ticket.select(id)({ [shopApi.reducerPath]: cache }).data
        const sheet = withWrites(`/tickets/${id}`, known ?? null, writes) as TicketSheet | null
        return sheet ? [[id, sheet] as const] : []
      }),
    )
  }, [key, cache, writes])
}
