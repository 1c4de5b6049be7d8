import { dayIn, resources, type NewObservation, type NewSymptomNote, type NewTryOn, type Observation, type SymptomNote, type TryOn } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { addFact } from './facts.ts'
import type { Db } from './open.ts'
import { requirePiece } from './pieces.ts'
import { requireReference } from './references.ts'
import { recordOf, type Row } from './rows.ts'
import { readShop } from './shop.ts'
import { requireItem, requireOpenTicket } from './tickets.ts'

const { tryOns, observations, symptomNotes } = resources

/** Rounds of a ticket in the order in which they came, each with what was seen in it. */
export function tryOnsOfTicket(db: Db, ticketId: string): TryOn[] {
  const parts = (table: 'observations' | 'symptom_notes'): Row[] =>
    db
      .prepare<[string], Row>(
        `SELECT ${table}.* FROM ${table} JOIN try_ons ON try_ons.id = ${table}.try_on_id WHERE try_ons.ticket_id = ? ORDER BY ${table}.seq`,
      )
      .all(ticketId)
  const rounds = db.prepare<[string], Row>('SELECT * FROM try_ons WHERE ticket_id = ? ORDER BY seq').all(ticketId)
  if (rounds.length === 0) return []
  const [seen, noted] = [parts('observations'), parts('symptom_notes')]
  const of = (rows: readonly Row[], id: unknown): Row[] => rows.filter((row) => row['try_on_id'] === id)
  return rounds.map((row) => ({
    ...recordOf(tryOns, row),
    observations: of(seen, row['id']).map((each) => recordOf(observations, each)),
    symptoms: of(noted, row['id']).map((each) => recordOf(symptomNotes, each)),
  }))
}

/** What is on the dog must be this ticket's choice, a piece we own, or a size named alone. */
function mustBeHere(db: Db, ticketId: string, { of, itemId, settings }: NewTryOn): void {
  requireReference(() => requireItem(db, ticketId, itemId), 'itemId')
  if ('pieceId' in of) requireReference(() => requirePiece(db, of.pieceId), 'of.pieceId')
  if ('choiceId' in of && !db.prepare('SELECT 1 FROM choices WHERE id = ? AND item_id = ?').get(of.choiceId, itemId)) {
    throw new ProblemError('unknown-reference', 'This item has no such choice.', { fields: [{ path: 'of.choiceId', message: 'no such choice' }] })
  }
  const odd = settings.find((id) => !db.prepare('SELECT 1 FROM settings WHERE id = ?').get(id))
  if (odd !== undefined) throw new ProblemError('unknown-reference', 'One of the settings is not kept here.', { fields: [{ path: 'settings', message: odd }] })
}

/** Opens a round: one thing on the dog once. */
export function addTryOn(db: Db, ticketId: string, id: string, round: NewTryOn): TryOn {
  addFact(db, tryOns, { ...round, id, on: round.on ?? dayIn(readShop(db).timeZone, round.at) }, { ticketId }, () => {
    requireOpenTicket(db, ticketId)
    mustBeHere(db, ticketId, round)
  })
  const kept = tryOnsOfTicket(db, ticketId).find((each) => each.id === id)
  if (!kept) throw new ProblemError('not-found', 'There is no such round on this ticket.')
  return kept
}

function requireRound(db: Db, ticketId: string, id: string): void {
  requireOpenTicket(db, ticketId)
  if (!db.prepare('SELECT 1 FROM try_ons WHERE id = ? AND ticket_id = ?').get(id, ticketId)) {
    throw new ProblemError('not-found', 'There is no such round on this ticket.')
  }
}

export const addObservation = (db: Db, ticketId: string, roundId: string, id: string, seen: NewObservation): Observation =>
  addFact(db, observations, { ...seen, id }, { roundId }, () => requireRound(db, ticketId, roundId))

export const addSymptomNote = (db: Db, ticketId: string, roundId: string, id: string, note: NewSymptomNote): SymptomNote =>
  addFact(db, symptomNotes, { ...note, id }, { roundId }, () => requireRound(db, ticketId, roundId))
