import type { Choice, NewChoice } from './choice.schema.ts'
import type { CHOICES_BESIDE } from './lists.ts'
import { json, resource } from './resource.ts'

export type { Choice, NewChoice, Predicted } from './choice.schema.ts'

/** Omits from each member of a union. */
type Without<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never
/** What stands beside a choice and replaces no size: a locked set-up, a garment's plan. */
type Beside = (typeof CHOICES_BESIDE)[number]
/** A choice of what to wear: every kind but those. */
export type WornChoice = Exclude<Choice, { kind: Beside }>
/** What is settled on, without who, when and why. */
export type Settlement = Without<Exclude<NewChoice, { kind: Beside }>, 'itemId' | 'predicted' | 'rulesVersion' | 'overruled' | 'at' | 'on' | 'by'>
export type ChoiceOf<K extends Choice['kind']> = Extract<Choice, { kind: K }>

/** A choice as it is kept: what its kind alone has stands in one document. */
export type StoredChoice = Pick<Choice, 'id' | 'itemId' | 'kind' | 'predicted' | 'rulesVersion' | 'overruled' | 'at' | 'on' | 'by'> & { what: object }

export const choices = resource<StoredChoice>({
  name: 'choice',
  table: 'choices',
  address: '/tickets/:ticketId/choices',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs', 'Bookings'],
  fact: true,
  columns: {
    id: 'id',
    itemId: 'item_id',
    kind: 'kind',
    what: json('what'),
    predicted: json('predicted'),
    rulesVersion: 'rules_version',
    overruled: json('overruled'),
    at: 'at',
    on: 'on_day',
    by: 'by_whom',
  },
})

/** The choice as it is spoken of, from the form it is kept in, and back. */
export const choiceOf = ({ what, ...common }: StoredChoice): Choice => ({ ...common, ...what }) as Choice
export function storedChoice({ id, itemId, kind, predicted, rulesVersion, overruled, at, on, by, ...what }: Choice): StoredChoice {
  const { struck: _, ...own } = what
  return { id, itemId, kind, predicted, rulesVersion, overruled, at, on, by, what: own }
}

/** The labels a choice speaks of, in their order: none for a piece of ours or one made to measure. */
export function labelsOf(choice: Settlement | Choice): string[] {
  switch (choice.kind) {
    case 'size':
      return [...choice.labels]
    case 'series':
      return [choice.label]
    case 'paws':
      return [...new Set(Object.values(choice.labels))]
    case 'gear':
    case 'made':
    case 'set-up':
    case 'pattern':
      return []
  }
}

/** The table a choice was made by, in its version; `null` where there is none. */
export const tableOf = (choice: Settlement | Choice): { tableId: string; tableVersion: number } | null =>
  'tableId' in choice ? { tableId: choice.tableId, tableVersion: choice.tableVersion } : null
