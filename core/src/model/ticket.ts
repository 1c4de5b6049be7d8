import { flag, json, resource } from './resource.ts'
import type { Acknowledgement, Item, Ticket, TicketFields } from './ticket.schema.ts'

export type {
  Acknowledgement,
  Activity,
  Item,
  ItemFields,
  ItemWay,
  NewAcknowledgement,
  NewItem,
  NewTicket,
  TeamPlace,
  Ticket,
  TicketFields,
  TicketKind,
  Trait,
} from './ticket.schema.ts'

/** A ticket as it is opened: nothing asked yet. */
export const UNASKED: Omit<TicketFields, 'dogId' | 'ownerId'> = {
  activities: [],
  traits: [],
  teamPlace: null,
  budget: null,
  alsoWorn: '',
  airC: null,
  neededOn: null,
  promisedOn: null,
  nextLookOn: null,
  notes: '',
  wholeBody: false,
  state: 'open',
  closedAt: null,
}

export const tickets = resource<Ticket>({
  name: 'ticket',
  table: 'tickets',
  address: '/tickets',
  tags: ['Tickets', 'Dogs', 'Found', 'Reminders'],
  columns: {
    id: 'id',
    number: 'number',
    dogId: 'dog_id',
    ownerId: 'owner_id',
    kind: 'kind',
    activities: json('activities'),
    traits: json('traits'),
    teamPlace: 'team_place',
    budget: 'budget',
    alsoWorn: 'also_worn',
    airC: 'air_c',
    neededOn: 'needed_on',
    promisedOn: 'promised_on',
    nextLookOn: 'next_look_on',
    notes: 'notes',
    wholeBody: flag('whole_body'),
    state: 'state',
    closedAt: 'closed_at',
    createdAt: 'created_at',
    on: 'on_day',
    by: 'by_whom',
  },
  made: 'createdAt',
  defaults: UNASKED,
})

export const items = resource<Item>({
  name: 'item',
  table: 'items',
  address: '/tickets/:ticketId/items',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs'],
  columns: { id: 'id', family: 'family', way: 'way', school: 'school', removed: flag('removed'), createdAt: 'created_at' },
  made: 'createdAt',
  defaults: { removed: false },
})

export const acknowledgements = resource<Acknowledgement>({
  name: 'acknowledgement',
  table: 'acknowledgements',
  address: '/tickets/:ticketId/acknowledgements',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs'],
  fact: true,
  columns: { id: 'id', kind: 'kind', code: 'code', text: 'text', reason: 'reason', at: 'at', by: 'by_whom' },
})
