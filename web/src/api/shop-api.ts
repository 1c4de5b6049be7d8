import type {
  Booking,
  Car,
  ComingBack,
  Day,
  Dog,
  DogSheet,
  DogsPage,
  FamilyId,
  Fitter,
  ForetoldPair,
  Found,
  Owner,
  Piece,
  Rig,
  Reminder,
  SetOnDog,
  ShopFields,
  SizeTable,
  Supply,
  Tag,
  TicketSheet,
} from '@merry-tailor/core'
import { TAGS, resources } from '@merry-tailor/core'
import { createApi } from '@reduxjs/toolkit/query/react'
import { baseQuery, type Request } from './base-query'
import { dogsPagePath, type DogsAsked } from './dogs-page'
import type { WriteRequest } from './kept'
import type { WriteName, Writes } from './named-writes'
import { patch, put, requestOf } from './requests'

/** The copies of the book, newest first, and whether the last could be made. */
export interface Drawer {
  folder: string
  copies: { name: string; at: string; records: number; bytes: number }[]
  failure: string | null
  /** What is wrong with the file of the open book; `null` when nothing was found. */
  damage: string | null
  canCopy: boolean
}

/** Where each write is sent. */
const REQUESTS: { readonly [N in WriteName]: (arg: Writes[N]) => WriteRequest } = {
  act: ({ ticketId, act }) => requestOf(ticketId, act),
  addTicket: ({ id, body }) => put(`/tickets/${id}`, body),
  addDog: ({ id, body }) => put(`/dogs/${id}`, body),
  changeDog: ({ id, changes }) => patch(`/dogs/${id}`, changes),
  addDogNote: ({ dogId, id, body }) => put(`/dogs/${dogId}/notes/${id}`, body),
  changeDogNote: ({ dogId, id, changes }) => patch(`/dogs/${dogId}/notes/${id}`, changes),
  addWeighing: ({ dogId, id, body }) => put(`/dogs/${dogId}/weighings/${id}`, body),
  addOuting: ({ dogId, id, body }) => put(`/dogs/${dogId}/outings/${id}`, body),
  changeOuting: ({ dogId, id, changes }) => patch(`/dogs/${dogId}/outings/${id}`, changes),
  addTracing: ({ dogId, id, body }) => put(`/dogs/${dogId}/tracings/${id}`, body),
  changeTracing: ({ dogId, id, changes }) => patch(`/dogs/${dogId}/tracings/${id}`, changes),
  addBootOuting: ({ dogId, id, body }) => put(`/dogs/${dogId}/boot-outings/${id}`, body),
  changeBootOuting: ({ dogId, id, changes }) => patch(`/dogs/${dogId}/boot-outings/${id}`, changes),
  addDogJoin: ({ dogId, id, body }) => put(`/dogs/${dogId}/joins/${id}`, body),
  changeDogJoin: ({ dogId, id, changes }) => patch(`/dogs/${dogId}/joins/${id}`, changes),
  addPhoto: ({ dogId, id, view, at, by, picture }) => put(`/dogs/${dogId}/photos/${id}?${new URLSearchParams({ view, at, by }).toString()}`, picture),
  removePhoto: ({ dogId, id }) => ({ url: `/dogs/${dogId}/photos/${id}`, method: 'DELETE', body: undefined }),
  addOwner: ({ id, body }) => put(`/owners/${id}`, body),
  changeOwner: ({ id, changes }) => patch(`/owners/${id}`, changes),
  addSizeTable: (table) => put(`/size-tables/${table.id}/${table.version}`, table),
  changeShop: (changes) => patch('/shop', changes),
  addFitter: ({ id, body }) => put(`/fitters/${id}`, body),
  changeFitter: ({ id, changes }) => patch(`/fitters/${id}`, changes),
  addPiece: ({ id, body }) => put(`/pieces/${id}`, body),
  changePiece: ({ id, changes }) => patch(`/pieces/${id}`, changes),
  addRig: ({ id, body }) => put(`/rigs/${id}`, body),
  changeRig: ({ id, changes }) => patch(`/rigs/${id}`, changes),
  addCar: ({ id, body }) => put(`/cars/${id}`, body),
  changeCar: ({ id, changes }) => patch(`/cars/${id}`, changes),
  changeBooking: ({ id, changes }) => patch(`/bookings/${id}`, changes),
  takeKennelList: (list) => ({ url: '/kennel-list', method: 'POST', body: list }),
  takeBodySheet: ({ sheet, ownerId }) => put(`/body-sheets/${sheet.dog.id}?ownerId=${ownerId}`, sheet),
}

/** Which questions are asked anew once a write is in: those whose answers say more than the recipe can. */
export const RENEWS: { readonly [N in WriteName]: readonly Tag[] } = {
  act: [],
  addTicket: resources.tickets.tags,
  addDog: resources.dogs.tags,
  changeDog: resources.dogs.tags,
  addDogNote: resources.dogNotes.tags,
  changeDogNote: resources.dogNotes.tags,
  addWeighing: resources.weighings.tags,
  addOuting: resources.outings.tags,
  changeOuting: resources.outings.tags,
  addTracing: resources.tracings.tags,
  changeTracing: resources.tracings.tags,
  addBootOuting: resources.bootOutings.tags,
  changeBootOuting: resources.bootOutings.tags,
  addDogJoin: resources.dogJoins.tags,
  changeDogJoin: resources.dogJoins.tags,
  addPhoto: resources.photos.tags,
  removePhoto: resources.photos.tags,
  addOwner: resources.owners.tags,
  changeOwner: resources.owners.tags,
  addSizeTable: resources.sizeTables.tags,
  changeShop: resources.shops.tags,
  addFitter: resources.fitters.tags,
  changeFitter: resources.fitters.tags,
  addPiece: resources.pieces.tags,
  changePiece: resources.pieces.tags,
  addRig: resources.rigs.tags,
  changeRig: resources.rigs.tags,
  addCar: resources.cars.tags,
  changeCar: resources.cars.tags,
  changeBooking: resources.bookings.tags,
  takeKennelList: ['Dogs', 'Owners', 'Tickets', 'Found', 'Reminders'],
  takeBodySheet: ['Dogs', 'Owners', 'Tickets', 'Found', 'Reminders'],
}

/** Acts that may book a piece out or free it. */
const BOOKING_ACTS: ReadonlySet<string> = new Set(['choose', 'mark', 'change'])

/** So many readings of a dog are on screen at first, and those of many visits are far fewer. */
export const FIRST_READINGS = 120

/** Where each question is asked. */
const PATHS = {
  day: (on: string) => `/day?on=${on}`,
  ticket: (id: string) => `/tickets/${id}`,
  dogs: (_: undefined) => '/dogs',
  dogsPage: dogsPagePath,
  dog: (id: string) => `/dogs/${id}`,
  dogNewest: (id: string) => `/dogs/${id}?newest=${FIRST_READINGS}`,
  owners: (_: undefined) => '/owners',
  sizeTables: (_: undefined) => '/size-tables',
  pieces: (_: undefined) => '/pieces',
  rigs: (_: undefined) => '/rigs',
  cars: (_: undefined) => '/cars',
  bookings: (_: undefined) => '/bookings',
  supply: (_: undefined) => '/supply',
  find: (q: string) => `/find?q=${encodeURIComponent(q)}`,
  shop: (_: undefined) => '/shop',
  fitters: (_: undefined) => '/fitters',
  reminders: (on: string) => `/reminders?on=${on}`,
  copies: (_: undefined) => '/copies',
  foretold: (_: undefined) => '/foretold',
  setOnDogs: (family: FamilyId) => `/set-on-dogs?family=${family}`,
}
export type QueryName = keyof typeof PATHS

/** The question an entry of the cache is the answer to. */
export const pathOf = (name: QueryName, arg: unknown): string => (PATHS[name] as (arg: unknown) => string)(arg)

/** The server's answers, as they came. What waits on this device is done over them where they are read (`queries.ts`). */
export const shopApi = createApi({
  reducerPath: 'api',
  baseQuery,
  tagTypes: [...TAGS],
  keepUnusedDataFor: 600,
  // Another device or tab may have worked on the same ticket meanwhile.
  refetchOnFocus: true,
  refetchOnReconnect: true,
  endpoints: (build) => {
    const question = <T, A>(name: QueryName, tags: readonly Tag[]) =>
      build.query<T, A>({
        query: (arg): Request => ({ ask: pathOf(name, arg), arg }),
        providesTags: (_, __, arg) => (name === 'ticket' ? [{ type: 'Tickets', id: arg as string }] : [...tags]),
      })
    const write = <N extends WriteName>(endpoint: N) =>
      build.mutation<unknown, Writes[N]>({
        query: (arg): Request => ({ ...REQUESTS[endpoint](arg), endpoint, arg }),
        invalidatesTags: (_, __, arg) => (endpoint === 'act' && BOOKING_ACTS.has((arg as Writes['act']).act.act) ? ['Bookings'] : [...RENEWS[endpoint]]),
      })
    return {
      day: question<Day, string>('day', ['Tickets', 'Dogs']),
      ticket: question<TicketSheet, string>('ticket', ['Tickets']),
      dogs: question<Dog[], undefined>('dogs', ['Dogs']),
      dogsPage: question<DogsPage, DogsAsked>('dogsPage', ['Dogs']),
      dog: question<DogSheet, string>('dog', ['Dogs', 'Tickets']),
      dogNewest: question<DogSheet, string>('dogNewest', ['Dogs', 'Tickets']),
      owners: question<Owner[], undefined>('owners', ['Owners']),
      sizeTables: question<SizeTable[], undefined>('sizeTables', ['SizeTables']),
      pieces: question<Piece[], undefined>('pieces', ['Pieces']),
      rigs: question<Rig[], undefined>('rigs', ['Rigs']),
      cars: question<Car[], undefined>('cars', ['Cars']),
      bookings: question<Booking[], undefined>('bookings', ['Bookings']),
      supply: question<Supply[], undefined>('supply', ['Supply']),
      find: question<Found[], string>('find', ['Found']),
      shop: question<ShopFields, undefined>('shop', ['Shop']),
      fitters: question<Fitter[], undefined>('fitters', ['Fitters']),
      copies: question<Drawer, undefined>('copies', ['Copies']),
      foretold: question<ForetoldPair[], undefined>('foretold', ['Tickets']),
      setOnDogs: question<SetOnDog[], FamilyId>('setOnDogs', ['Tickets']),
      reminders: question<{ again: Reminder[]; back: ComingBack[] }, string>('reminders', ['Reminders']),

      act: write('act'),
      addTicket: write('addTicket'),
      addDog: write('addDog'),
      changeDog: write('changeDog'),
      addDogNote: write('addDogNote'),
      changeDogNote: write('changeDogNote'),
      addWeighing: write('addWeighing'),
      addDogJoin: write('addDogJoin'),
      changeDogJoin: write('changeDogJoin'),
      addPhoto: write('addPhoto'),
      removePhoto: write('removePhoto'),
      addOwner: write('addOwner'),
      changeOwner: write('changeOwner'),
      addSizeTable: write('addSizeTable'),
      changeShop: write('changeShop'),
      addFitter: write('addFitter'),
      changeFitter: write('changeFitter'),
      addPiece: write('addPiece'),
      changePiece: write('changePiece'),
      addRig: write('addRig'),
      changeRig: write('changeRig'),
      addCar: write('addCar'),
      changeCar: write('changeCar'),
      addOuting: write('addOuting'),
      changeOuting: write('changeOuting'),
      addTracing: write('addTracing'),
      changeTracing: write('changeTracing'),
      addBootOuting: write('addBootOuting'),
      changeBootOuting: write('changeBootOuting'),
      changeBooking: write('changeBooking'),
      takeKennelList: write('takeKennelList'),
      takeBodySheet: write('takeBodySheet'),
      // No write to the book: asked for by a person who waits for it, never kept for later.
      makeCopy: build.mutation<Drawer, undefined>({
        queryFn: async () => {
          const answer = await fetch('/api/copies', { method: 'POST' }).catch(() => null)
          const data: unknown = await answer?.json().catch(() => undefined)
          return answer?.ok ? { data: data as Drawer } : { error: answer ? { status: answer.status, data } : { status: 'FETCH_ERROR', error: 'away' } }
        },
        invalidatesTags: ['Copies'],
      }),
    }
  },
})
