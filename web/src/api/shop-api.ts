import type {
  Act,
  Change,
  ComingBack,
  Dog,
  DogSheet,
  Fitter,
  Found,
  NewChoice,
  NewDog,
  NewDogNote,
  NewFitter,
  NewItem,
  NewObservation,
  NewOwner,
  NewPiece,
  NewSymptomNote,
  NewTicket,
  NewTryOn,
  Owner,
  Piece,
  Reminder,
  ShopFields,
  SizeTable,
  Supply,
  TicketSheet,
} from '@merry-tailor/core'
import type { BodySheet, KennelImport } from '@merry-tailor/core/formats'
import { createApi } from '@reduxjs/toolkit/query/react'
import { baseQuery, type Request } from './base-query'
import type { WriteRequest } from './device-store'
import { assign, sheetRecipes, type ItemChange, type Part, type RoundPart, type TicketAct } from './recipes'

const put = (url: string, body: unknown): WriteRequest => ({ url, method: 'PUT', body })
const patch = (url: string, changes: readonly Change[]): WriteRequest => ({ url, method: 'PATCH', body: { changes } })

/** Where each act of the bench is sent. */
export function requestOf(ticketId: string, act: Act): WriteRequest {
  const base = `/tickets/${ticketId}`
  switch (act.act) {
    case 'read':
      return put(`${base}/readings/${act.id}`, act.body)
    case 'mark':
      return put(`${base}/marks/${act.id}`, act.body)
    case 'acknowledge':
      return put(`${base}/acknowledgements/${act.id}`, act.body)
    case 'write-down':
      return put(`${base}/as-written/${act.id}`, act.body)
    case 'answer':
      return put(`${base}/as-written/${act.id}/answer`, act.body)
    case 'change':
      return patch(base, act.changes)
  }
}

/**
 * Server state. Every act at the dog shows at once: the ticket's sheet is patched before the request leaves, and
 * patched back when the server refuses it. What cannot be sent waits on the device.
 */
export const shopApi = createApi({
  reducerPath: 'api',
  baseQuery,
  tagTypes: ['Tickets', 'Dogs', 'Owners', 'SizeTables', 'Found', 'Shop', 'Fitters', 'Reminders', 'Pieces', 'Supply'],
  keepUnusedDataFor: 600,
  // Another device or tab may have worked on the same ticket meanwhile.
  refetchOnFocus: true,
  refetchOnReconnect: true,
  endpoints: (build) => {
    /** A write with its name and argument, so that it can wait in the outbox. */
    const named =
      <A>(endpoint: string, request: (arg: A) => WriteRequest) =>
      (arg: A): Request => ({ ...request(arg), endpoint, arg })

    /** A write to a ticket that shows in its sheet in the same frame. */
    const onSheet = <A extends { ticketId: string }>(endpoint: keyof typeof sheetRecipes, request: (arg: A) => WriteRequest) =>
      build.mutation<unknown, A>({
        query: named(endpoint, request),
        async onQueryStarted(arg, { dispatch, queryFulfilled }) {
          const recipe = sheetRecipes[endpoint] as (sheet: TicketSheet, arg: unknown) => void
          const shown = dispatch(shopApi.util.updateQueryData('ticket', arg.ticketId, (sheet) => recipe(sheet, arg)))
          const listed = dispatch(
            shopApi.util.updateQueryData('tickets', undefined, (sheets) => {
              const sheet = sheets.find((each) => each.ticket.id === arg.ticketId)
              if (sheet) recipe(sheet, arg)
            }),
          )
          try {
            await queryFulfilled
          } catch {
            shown.undo()
            listed.undo()
          }
        },
      })
    const write = <A>(
      endpoint: string,
      request: (arg: A) => WriteRequest,
      tags: readonly ('Tickets' | 'Dogs' | 'Owners' | 'SizeTables' | 'Found' | 'Shop' | 'Fitters' | 'Reminders' | 'Pieces' | 'Supply')[],
    ) => build.mutation<unknown, A>({ query: named(endpoint, request), invalidatesTags: [...tags] })

    return {
      tickets: build.query<TicketSheet[], undefined>({
        query: () => '/tickets?state=open',
        providesTags: ['Tickets'],
        // Each sheet is at hand before its ticket is opened: no spinner.
        async onQueryStarted(_, { dispatch, queryFulfilled }) {
          const { data } = await queryFulfilled.catch(() => ({ data: [] as TicketSheet[] }))
          void dispatch(shopApi.util.upsertQueryEntries(data.map((sheet) => ({ endpointName: 'ticket' as const, arg: sheet.ticket.id, value: sheet }))))
        },
      }),
      ticket: build.query<TicketSheet, string>({ query: (id) => `/tickets/${id}`, providesTags: (_, __, id) => [{ type: 'Tickets', id }] }),
      dogs: build.query<Dog[], undefined>({ query: () => '/dogs', providesTags: ['Dogs'] }),
      dog: build.query<DogSheet, string>({ query: (id) => `/dogs/${id}`, providesTags: ['Dogs', 'Tickets'] }),
      owners: build.query<Owner[], undefined>({ query: () => '/owners', providesTags: ['Owners'] }),
      sizeTables: build.query<SizeTable[], undefined>({ query: () => '/size-tables', providesTags: ['SizeTables'] }),
      pieces: build.query<Piece[], undefined>({ query: () => '/pieces', providesTags: ['Pieces'] }),
      supply: build.query<Supply[], undefined>({ query: () => '/supply', providesTags: ['Supply'] }),
      find: build.query<Found[], string>({ query: (q) => `/find?q=${encodeURIComponent(q)}`, providesTags: ['Found'] }),
      shop: build.query<ShopFields, undefined>({ query: () => '/shop', providesTags: ['Shop'] }),
      fitters: build.query<Fitter[], undefined>({ query: () => '/fitters', providesTags: ['Fitters'] }),
      reminders: build.query<{ again: Reminder[]; back: ComingBack[] }, string>({
        query: (on) => `/reminders?on=${on}`,
        providesTags: ['Reminders', 'Tickets', 'Dogs'],
      }),

      act: onSheet<TicketAct>('act', ({ ticketId, act }) => requestOf(ticketId, act)),
      addItem: onSheet<Part<NewItem>>('addItem', ({ ticketId, id, body }) => put(`/tickets/${ticketId}/items/${id}`, body)),
      changeItem: onSheet<ItemChange>('changeItem', ({ ticketId, id, changes }) => patch(`/tickets/${ticketId}/items/${id}`, changes)),
      addChoice: onSheet<Part<NewChoice>>('addChoice', ({ ticketId, id, body }) => put(`/tickets/${ticketId}/choices/${id}`, body)),
      addTryOn: onSheet<Part<NewTryOn>>('addTryOn', ({ ticketId, id, body }) => put(`/tickets/${ticketId}/try-ons/${id}`, body)),
      addObservation: onSheet<RoundPart<NewObservation>>('addObservation', ({ ticketId, roundId, id, body }) =>
        put(`/tickets/${ticketId}/try-ons/${roundId}/observations/${id}`, body),
      ),
      addSymptomNote: onSheet<RoundPart<NewSymptomNote>>('addSymptomNote', ({ ticketId, roundId, id, body }) =>
        put(`/tickets/${ticketId}/try-ons/${roundId}/symptoms/${id}`, body),
      ),
      changeTicket: build.mutation<unknown, { ticketId: string; changes: Change[] }>({
        query: named('changeTicket', ({ ticketId, changes }) => patch(`/tickets/${ticketId}`, changes)),
        async onQueryStarted({ ticketId, changes }, { dispatch, queryFulfilled }) {
          const shown = dispatch(shopApi.util.updateQueryData('ticket', ticketId, (sheet) => assign(sheet.ticket, changes)))
          try {
            await queryFulfilled
          } catch {
            shown.undo()
          }
        },
        invalidatesTags: ['Tickets', 'Found'],
      }),

      addTicket: write<{ id: string; body: NewTicket }>('addTicket', ({ id, body }) => put(`/tickets/${id}`, body), ['Tickets', 'Found']),
      addDog: write<{ id: string; body: NewDog }>('addDog', ({ id, body }) => put(`/dogs/${id}`, body), ['Dogs', 'Found']),
      changeDog: write<{ id: string; changes: Change[] }>('changeDog', ({ id, changes }) => patch(`/dogs/${id}`, changes), ['Dogs', 'Tickets', 'Found']),
      addDogNote: write<{ dogId: string; id: string; body: NewDogNote }>('addDogNote', ({ dogId, id, body }) => put(`/dogs/${dogId}/notes/${id}`, body), [
        'Dogs',
      ]),
      changeDogNote: write<{ dogId: string; id: string; changes: Change[] }>(
        'changeDogNote',
        ({ dogId, id, changes }) => patch(`/dogs/${dogId}/notes/${id}`, changes),
        ['Dogs'],
      ),
      removePhoto: write<{ dogId: string; id: string }>(
        'removePhoto',
        ({ dogId, id }) => ({ url: `/dogs/${dogId}/photos/${id}`, method: 'DELETE', body: undefined }),
        ['Dogs'],
      ),
      addOwner: write<{ id: string; body: NewOwner }>('addOwner', ({ id, body }) => put(`/owners/${id}`, body), ['Owners', 'Found']),
      changeOwner: write<{ id: string; changes: Change[] }>('changeOwner', ({ id, changes }) => patch(`/owners/${id}`, changes), [
        'Owners',
        'Tickets',
        'Dogs',
        'Found',
      ]),
      addSizeTable: write<SizeTable>('addSizeTable', (table) => put(`/size-tables/${table.id}/${table.version}`, table), ['SizeTables']),
      changeShop: build.mutation<unknown, Change[]>({
        query: named('changeShop', (changes) => patch('/shop', changes)),
        async onQueryStarted(changes, { dispatch, queryFulfilled }) {
          const shown = dispatch(shopApi.util.updateQueryData('shop', undefined, (shop) => assign(shop, changes)))
          try {
            await queryFulfilled
          } catch {
            shown.undo()
          }
        },
        invalidatesTags: ['Shop'],
      }),
      addFitter: write<{ id: string; body: NewFitter }>('addFitter', ({ id, body }) => put(`/fitters/${id}`, body), ['Fitters']),
      changeFitter: write<{ id: string; changes: Change[] }>('changeFitter', ({ id, changes }) => patch(`/fitters/${id}`, changes), ['Fitters']),
      addPiece: write<{ id: string; body: NewPiece }>('addPiece', ({ id, body }) => put(`/pieces/${id}`, body), ['Pieces']),
      changePiece: write<{ id: string; changes: Change[] }>('changePiece', ({ id, changes }) => patch(`/pieces/${id}`, changes), ['Pieces']),
      takeKennelList: write<KennelImport>('takeKennelList', (list) => ({ url: '/kennel-list', method: 'POST', body: list }), [
        'Dogs',
        'Owners',
        'Tickets',
        'Found',
      ]),
      takeBodySheet: write<{ sheet: BodySheet; ownerId: string }>(
        'takeBodySheet',
        ({ sheet, ownerId }) => put(`/body-sheets/${sheet.dog.id}?ownerId=${ownerId}`, sheet),
        ['Dogs', 'Owners', 'Tickets', 'Found'],
      ),
    }
  },
})

export const {
  useTicketsQuery,
  useTicketQuery,
  useDogsQuery,
  useDogQuery,
  useOwnersQuery,
  useSizeTablesQuery,
  usePiecesQuery,
  useSupplyQuery,
  useAddPieceMutation,
  useChangePieceMutation,
  useFindQuery,
  useShopQuery,
  useFittersQuery,
  useRemindersQuery,
  useActMutation,
  useAddItemMutation,
  useChangeItemMutation,
  useAddChoiceMutation,
  useAddTryOnMutation,
  useAddObservationMutation,
  useAddSymptomNoteMutation,
  useChangeTicketMutation,
  useAddTicketMutation,
  useAddDogMutation,
  useChangeDogMutation,
  useAddDogNoteMutation,
  useChangeDogNoteMutation,
  useRemovePhotoMutation,
  useAddOwnerMutation,
  useChangeOwnerMutation,
  useAddSizeTableMutation,
  useChangeShopMutation,
  useAddFitterMutation,
  useChangeFitterMutation,
  useTakeKennelListMutation,
  useTakeBodySheetMutation,
} = shopApi
