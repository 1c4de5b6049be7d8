import {
  BecameReading,
  Changes,
  Id,
  NewAcknowledgement,
  NewAsWritten,
  NewChoice,
  NewItem,
  NewMark,
  NewObservation,
  NewReading,
  NewSymptomNote,
  NewTicket,
  NewTryOn,
} from '@merry-tailor/core'
import { z } from 'zod'
import { addAsWritten, answerAsWritten } from '../db/as-written.ts'
import { addAcknowledgement, addChoice } from '../db/choices.ts'
import { addMark } from '../db/marks.ts'
import { addReading } from '../db/readings.ts'
import { ticketSheet, ticketSheets } from '../db/sheets.ts'
import { addItem, addTicket, changeItem, changeTicket } from '../db/tickets.ts'
import { addObservation, addSymptomNote, addTryOn } from '../db/try-ons.ts'
import { inOneTransaction, typed, type Routes } from './typed.ts'

const params = z.object({ id: Id })
const part = z.object({ id: Id, partId: Id })
const round = z.object({ id: Id, partId: Id, noteId: Id })

export const ticketRoutes: Routes = (app, db) => {
  const api = typed(app)
  const querystring = z.object({ state: z.enum(['open', 'closed', 'all']).default('open') })
  api.get('/api/tickets', { schema: { querystring } }, (request) => ticketSheets(db, request.query.state))
  api.get('/api/tickets/:id', { schema: { params } }, (request) => ticketSheet(db, request.params.id))
  api.put('/api/tickets/:id', { schema: { params, body: NewTicket } }, ({ params: at, body }) => inOneTransaction(db, () => addTicket(db, at.id, body)))
  api.patch('/api/tickets/:id', { schema: { params, body: Changes } }, ({ params: at, body }) =>
    inOneTransaction(db, () => changeTicket(db, at.id, body.changes)),
  )

  api.put('/api/tickets/:id/items/:partId', { schema: { params: part, body: NewItem } }, ({ params: at, body }) =>
    inOneTransaction(db, () => addItem(db, at.id, at.partId, body)),
  )
  api.patch('/api/tickets/:id/items/:partId', { schema: { params: part, body: Changes } }, ({ params: at, body }) =>
    inOneTransaction(db, () => changeItem(db, at.id, at.partId, body.changes)),
  )

  api.put('/api/tickets/:id/readings/:partId', { schema: { params: part, body: NewReading } }, ({ params: at, body }) =>
    inOneTransaction(db, () => addReading(db, at.id, at.partId, body)),
  )
  api.put('/api/tickets/:id/marks/:partId', { schema: { params: part, body: NewMark } }, ({ params: at, body }) =>
    inOneTransaction(db, () => addMark(db, at.id, at.partId, body)),
  )
  api.put('/api/tickets/:id/as-written/:partId', { schema: { params: part, body: NewAsWritten } }, ({ params: at, body }) =>
    inOneTransaction(db, () => addAsWritten(db, at.id, at.partId, body)),
  )
  api.put('/api/tickets/:id/as-written/:partId/answer', { schema: { params: part, body: BecameReading } }, ({ params: at, body }) =>
    inOneTransaction(db, () => answerAsWritten(db, at.id, at.partId, body)),
  )

  api.put('/api/tickets/:id/choices/:partId', { schema: { params: part, body: NewChoice } }, ({ params: at, body }) =>
    inOneTransaction(db, () => addChoice(db, at.id, at.partId, body)),
  )
  api.put('/api/tickets/:id/acknowledgements/:partId', { schema: { params: part, body: NewAcknowledgement } }, ({ params: at, body }) =>
    inOneTransaction(db, () => addAcknowledgement(db, at.id, at.partId, body)),
  )

  api.put('/api/tickets/:id/try-ons/:partId', { schema: { params: part, body: NewTryOn } }, ({ params: at, body }) =>
    inOneTransaction(db, () => addTryOn(db, at.id, at.partId, body)),
  )
  api.put('/api/tickets/:id/try-ons/:partId/observations/:noteId', { schema: { params: round, body: NewObservation } }, ({ params: at, body }) =>
    inOneTransaction(db, () => addObservation(db, at.id, at.partId, at.noteId, body)),
  )
  api.put('/api/tickets/:id/try-ons/:partId/symptoms/:noteId', { schema: { params: round, body: NewSymptomNote } }, ({ params: at, body }) =>
    inOneTransaction(db, () => addSymptomNote(db, at.id, at.partId, at.noteId, body)),
  )
}
