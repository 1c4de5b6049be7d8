import type {
  Acknowledgement,
  Change,
  Choice,
  Dog,
  DogSheet,
  Found,
  Item,
  NewAcknowledgement,
  NewChoice,
  NewDog,
  NewItem,
  NewObservation,
  NewOwner,
  NewReading,
  NewSymptomNote,
  NewTicket,
  NewTryOn,
  Observation,
  Owner,
  Reading,
  SizeTable,
  Strike,
  SymptomNote,
  Ticket,
  TicketSheet,
  TryOn,
} from '@merry-tailor/core'
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react'

/** A part of a ticket: the ticket's id, the part's client-made id, and what is sent. */
interface Part<T> {
  ticketId: string
  id: string
  body: T
}

interface RoundPart<T> extends Part<T> {
  roundId: string
}

const put = <T>(url: string, body: T) => ({ url, method: 'PUT', body })
const patch = (url: string, changes: Change[]) => ({ url, method: 'PATCH', body: { changes } })

/** Appends `made` unless the list holds its id: so an optimistic row and its answer are one row. */
function keep<T extends { id: string }>(list: T[], made: T): void {
  const at = list.findIndex((each) => each.id === made.id)
  if (at < 0) list.push(made)
  else list[at] = made
}

const assign = (target: object, changes: readonly Change[]): void => {
  for (const { field, to } of changes) (target as Record<string, unknown>)[field] = to
}

/**
 * Server state. Every act at the dog shows at once: the ticket's sheet is patched before the request leaves, and
 * patched back when the server refuses it.
 */
export const shopApi = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api', timeout: 15_000 }),
  tagTypes: ['Tickets', 'Dogs', 'Owners', 'SizeTables', 'Found'],
  keepUnusedDataFor: 600,
  endpoints: (build) => {
    type Recipe<A> = (sheet: TicketSheet, arg: A) => void
    /** A write to a ticket that shows in its sheet in the same frame. */
    const onSheet = <R, A extends { ticketId: string }>(query: (arg: A) => { url: string; method: string; body: unknown }, recipe: Recipe<A>) =>
      build.mutation<R, A>({
        query,
        async onQueryStarted(arg, { dispatch, queryFulfilled }) {
          const shown = dispatch(shopApi.util.updateQueryData('ticket', arg.ticketId, (sheet) => recipe(sheet, arg)))
          const listed = dispatch(
            shopApi.util.updateQueryData('tickets', undefined, (sheets) => {
              const sheet = sheets.find((each) => each.ticket.id === arg.ticketId)
              if (sheet) recipe(sheet, arg)
            }),
          )
          try {
            await queryFulfilled
            // Again, in case a list that left before this write came back after it.
            dispatch(shopApi.util.updateQueryData('ticket', arg.ticketId, (sheet) => recipe(sheet, arg)))
          } catch {
            shown.undo()
            listed.undo()
          }
        },
      })

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
      closedTickets: build.query<TicketSheet[], undefined>({ query: () => '/tickets?state=closed', providesTags: ['Tickets'] }),
      ticket: build.query<TicketSheet, string>({ query: (id) => `/tickets/${id}`, providesTags: (_, __, id) => [{ type: 'Tickets', id }] }),
      dogs: build.query<Dog[], undefined>({ query: () => '/dogs', providesTags: ['Dogs'] }),
      dog: build.query<DogSheet, string>({ query: (id) => `/dogs/${id}`, providesTags: ['Dogs', 'Tickets'] }),
      owners: build.query<Owner[], undefined>({ query: () => '/owners', providesTags: ['Owners'] }),
      sizeTables: build.query<SizeTable[], undefined>({ query: () => '/size-tables', providesTags: ['SizeTables'] }),
      find: build.query<Found[], string>({ query: (q) => `/find?q=${encodeURIComponent(q)}`, providesTags: ['Found'] }),

      addTicket: build.mutation<Ticket, { id: string; body: NewTicket }>({
        query: ({ id, body }) => put(`/tickets/${id}`, body),
        invalidatesTags: ['Tickets', 'Found'],
      }),
      changeTicket: build.mutation<Ticket, { ticketId: string; changes: Change[] }>({
        query: ({ ticketId, changes }) => patch(`/tickets/${ticketId}`, changes),
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
      addItem: onSheet<Item, Part<NewItem>>(
        ({ ticketId, id, body }) => put(`/tickets/${ticketId}/items/${id}`, body),
        (sheet, { id, body: { at, ...item } }) => keep(sheet.items, { ...item, id, removed: false, createdAt: at }),
      ),
      changeItem: onSheet<Item, { ticketId: string; id: string; changes: Change[] }>(
        ({ ticketId, id, changes }) => patch(`/tickets/${ticketId}/items/${id}`, changes),
        (sheet, { id, changes }) => {
          const item = sheet.items.find((each) => each.id === id)
          if (item) assign(item, changes)
        },
      ),
      addReading: onSheet<Reading, Part<NewReading>>(
        ({ ticketId, id, body }) => put(`/tickets/${ticketId}/readings/${id}`, body),
        (sheet, { id, body }) => keep(sheet.readings, { ...body, id }),
      ),
      strikeReading: onSheet<Reading, Part<Strike>>(
        ({ ticketId, id, body }) => put(`/tickets/${ticketId}/readings/${id}/strike`, body),
        (sheet, { id, body }) => {
          const reading = sheet.readings.find((each) => each.id === id)
          if (reading) reading.struck ??= body
        },
      ),
      addChoice: onSheet<Choice, Part<NewChoice>>(
        ({ ticketId, id, body }) => put(`/tickets/${ticketId}/choices/${id}`, body),
        (sheet, { id, body }) => keep(sheet.choices, { ...body, id }),
      ),
      addAcknowledgement: onSheet<Acknowledgement, Part<NewAcknowledgement>>(
        ({ ticketId, id, body }) => put(`/tickets/${ticketId}/acknowledgements/${id}`, body),
        (sheet, { id, body }) => keep(sheet.acknowledgements, { ...body, id }),
      ),
      addTryOn: onSheet<TryOn, Part<NewTryOn>>(
        ({ ticketId, id, body }) => put(`/tickets/${ticketId}/try-ons/${id}`, body),
        (sheet, { id, body }) => keep(sheet.tryOns, { ...body, id, observations: [], symptoms: [] }),
      ),
      addObservation: onSheet<Observation, RoundPart<NewObservation>>(
        ({ ticketId, roundId, id, body }) => put(`/tickets/${ticketId}/try-ons/${roundId}/observations/${id}`, body),
        (sheet, { roundId, id, body }) => keep(sheet.tryOns.find((round) => round.id === roundId)?.observations ?? [], { ...body, id }),
      ),
      addSymptomNote: onSheet<SymptomNote, RoundPart<NewSymptomNote>>(
        ({ ticketId, roundId, id, body }) => put(`/tickets/${ticketId}/try-ons/${roundId}/symptoms/${id}`, body),
        (sheet, { roundId, id, body }) => keep(sheet.tryOns.find((round) => round.id === roundId)?.symptoms ?? [], { ...body, id }),
      ),

      addDog: build.mutation<Dog, { id: string; body: NewDog }>({
        query: ({ id, body }) => put(`/dogs/${id}`, body),
        invalidatesTags: ['Dogs', 'Found'],
      }),
      changeDog: build.mutation<Dog, { id: string; changes: Change[] }>({
        query: ({ id, changes }) => patch(`/dogs/${id}`, changes),
        invalidatesTags: ['Dogs', 'Tickets', 'Found'],
      }),
      addOwner: build.mutation<Owner, { id: string; body: NewOwner }>({
        query: ({ id, body }) => put(`/owners/${id}`, body),
        invalidatesTags: ['Owners', 'Found'],
      }),
      changeOwner: build.mutation<Owner, { id: string; changes: Change[] }>({
        query: ({ id, changes }) => patch(`/owners/${id}`, changes),
        invalidatesTags: ['Owners', 'Tickets', 'Dogs', 'Found'],
      }),
      addSizeTable: build.mutation<SizeTable, SizeTable>({
        query: (table) => put(`/size-tables/${table.id}/${table.version}`, table),
        invalidatesTags: ['SizeTables'],
      }),
    }
  },
})

export const {
  useTicketsQuery,
  useClosedTicketsQuery,
  useTicketQuery,
  useDogsQuery,
  useDogQuery,
  useOwnersQuery,
  useSizeTablesQuery,
  useFindQuery,
  useAddTicketMutation,
  useChangeTicketMutation,
  useAddItemMutation,
  useChangeItemMutation,
  useAddReadingMutation,
  useStrikeReadingMutation,
  useAddChoiceMutation,
  useAddAcknowledgementMutation,
  useAddTryOnMutation,
  useAddObservationMutation,
  useAddSymptomNoteMutation,
  useAddDogMutation,
  useChangeDogMutation,
  useAddOwnerMutation,
  useChangeOwnerMutation,
  useAddSizeTableMutation,
} = shopApi
