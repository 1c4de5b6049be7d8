import { flag, json, resource } from './resource.ts'
import type { Observation, SymptomNote, TryOn } from './try-on.schema.ts'

export type {
  ForetoldCheck,
  NewObservation,
  NewSymptomNote,
  NewTryOn,
  Observation,
  Prediction,
  PullState,
  StrapMove,
  SymptomNote,
  TryOn,
  Worn,
} from './try-on.schema.ts'

/** A round as it is kept; what was seen in it hangs on it. */
export const tryOns = resource<Omit<TryOn, 'observations' | 'symptoms'>>({
  name: 'try-on',
  table: 'try_ons',
  address: '/tickets/:ticketId/try-ons',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs'],
  fact: true,
  columns: {
    id: 'id',
    itemId: 'item_id',
    of: json('of_what'),
    label: 'label',
    settings: json('settings'),
    changed: 'changed',
    foretold: json('foretold'),
    moves: json('moves'),
    seconds: 'seconds',
    at: 'at',
    on: 'on_day',
    by: 'by_whom',
  },
})

export const observations = resource<Observation>({
  name: 'observation',
  table: 'observations',
  address: '/tickets/:ticketId/try-ons/:roundId/observations',
  within: { roundId: 'try_on_id' },
  tags: ['Tickets', 'Dogs'],
  fact: true,
  columns: {
    id: 'id',
    check: 'check_id',
    state: 'state',
    grade: 'grade',
    asTyped: 'as_typed',
    mm: 'mm',
    fingers: 'fingers',
    at: 'at',
    by: 'by_whom',
  },
})

export const symptomNotes = resource<SymptomNote>({
  name: 'symptom-note',
  table: 'symptom_notes',
  address: '/tickets/:ticketId/try-ons/:roundId/symptoms',
  within: { roundId: 'try_on_id' },
  tags: ['Tickets', 'Dogs', 'Reminders'],
  fact: true,
  columns: { id: 'id', symptom: 'symptom', remedy: 'remedy', present: flag('present'), at: 'at', by: 'by_whom' },
})
