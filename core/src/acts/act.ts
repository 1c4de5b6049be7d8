import type {
  Change,
  NewAcknowledgement,
  NewAsWritten,
  BecameReading,
  NewChoice,
  NewHitch,
  NewItem,
  NewMark,
  NewObservation,
  NewReading,
  NewSetting,
  NewSetUp,
  NewSymptomNote,
  NewTryOn,
  TicketSheet,
} from '../model/index.ts'

/** What is done to a ticket, under the client-made id of what it makes. Everything written about a ticket is one of these. */
export type Act =
  | { act: 'read'; id: string; body: NewReading }
  | { act: 'mark'; id: string; body: NewMark }
  | { act: 'acknowledge'; id: string; body: NewAcknowledgement }
  /** Fields of the ticket, or of the item named. */
  | { act: 'change'; itemId?: string; changes: Change[] }
  | { act: 'write-down'; id: string; body: NewAsWritten }
  | { act: 'answer'; id: string; body: BecameReading }
  | { act: 'item'; id: string; body: NewItem }
  | { act: 'choose'; id: string; body: NewChoice }
  | { act: 'hitch'; id: string; body: NewHitch }
  | { act: 'set-up'; id: string; body: NewSetUp }
  | { act: 'try-on'; id: string; body: NewTryOn }
  | { act: 'observe'; id: string; roundId: string; body: NewObservation }
  | { act: 'symptom'; id: string; roundId: string; body: NewSymptomNote }
  | { act: 'set'; id: string; body: NewSetting }

export type ActName = Act['act']
export type ActOf<N extends ActName> = Extract<Act, { act: N }>

/** What an act is done to: a ticket's sheet, or as much of it as there is. */
export type ActSheet = Pick<
  TicketSheet,
  'ticket' | 'items' | 'readings' | 'choices' | 'hitches' | 'setUps' | 'tryOns' | 'settings' | 'acknowledgements' | 'asWritten' | 'marks'
>

/** Who takes back or does again, when, and the new mark's id. */
export interface Signed {
  id: string
  at: string
  by: string
}

/** Where an act is sent, below the ticket's own address, and what is sent. */
export interface Address {
  method: 'PUT' | 'PATCH'
  path: string
  body: unknown
}

/** All there is to know of one act. */
export interface ActKind<N extends ActName> {
  /** Does it to a sheet, in place; done again it changes nothing. */
  apply: (sheet: ActSheet, act: ActOf<N>) => void
  /** The act that takes it back. */
  inverse: (act: ActOf<N>, signed: Signed) => Act
  /** The act that does again what its inverse took back. */
  again: (act: ActOf<N>, signed: Signed) => Act
  address: (act: ActOf<N>) => Address
}

export const put = (path: string, body: unknown): Address => ({ method: 'PUT', path, body })
