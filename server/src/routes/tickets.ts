import {
  BecameReading,
  Changes,
  Id,
  NewAcknowledgement,
  NewAsWritten,
  NewChoice,
  NewHitch,
  NewItem,
  NewMark,
  NewObservation,
  NewReading,
  NewSetting,
  NewSetUp,
  NewSymptomNote,
  NewTicket,
  NewTryOn,
} from '@merry-tailor/core/schemas'
import { z } from 'zod'
import { addAsWritten, answerAsWritten } from '../db/as-written.ts'
import { addAcknowledgement } from '../db/acknowledgements.ts'
import { addChoice } from '../db/choices.ts'
import { addHitch } from '../db/hitches.ts'
import { addSetting } from '../db/settings.ts'
import { addSetUp } from '../db/set-ups.ts'
import { requireFreeAgain } from '../db/bookings.ts'
import { addMark } from '../db/marks.ts'
import { addReading } from '../db/readings.ts'
import { ticketSheet, ticketSheets } from '../db/sheets.ts'
import { addItem, addTicket, changeItem, changeTicket } from '../db/tickets.ts'
import { addObservation, addSymptomNote, addTryOn } from '../db/try-ons.ts'
import { once, typed, type Routes } from './typed-routes.ts'

const params = z.object({ id: Id })
const part = z.object({ id: Id, partId: Id })
const round = z.object({ id: Id, partId: Id, noteId: Id })

export const ticketRoutes: Routes = (app, desk) => {
  const { db } = desk
  const api = typed(app)
  const querystring = z.object({ state: z.enum(['open', 'closed', 'all']).default('open') })
  api.get('/api/tickets', { schema: { querystring } }, (request) => ticketSheets(db, request.query.state))
  api.get('/api/tickets/:id', { schema: { params } }, (request) => ticketSheet(db, request.params.id))
  api.put('/api/tickets/:id', { schema: { params, body: NewTicket } }, (request) => once(desk, request, () => addTicket(db, request.params.id, request.body)))
  api.patch('/api/tickets/:id', { schema: { params, body: Changes } }, (request) =>
    once(desk, request, () => changeTicket(db, request.params.id, request.body.changes, desk.now())),
  )

  api.put('/api/tickets/:id/items/:partId', { schema: { params: part, body: NewItem } }, (request) =>
    once(desk, request, () => addItem(db, request.params.id, request.params.partId, request.body)),
  )
  api.patch('/api/tickets/:id/items/:partId', { schema: { params: part, body: Changes } }, (request) =>
    once(desk, request, () => changeItem(db, request.params.id, request.params.partId, request.body.changes)),
  )

  api.put('/api/tickets/:id/readings/:partId', { schema: { params: part, body: NewReading } }, (request) =>
    once(desk, request, () => addReading(db, request.params.id, request.params.partId, request.body)),
  )
  api.put('/api/tickets/:id/marks/:partId', { schema: { params: part, body: NewMark } }, (request) =>
    once(desk, request, () => {
      requireFreeAgain(db, request.params.id, request.body)
      return addMark(db, request.params.id, request.params.partId, request.body)
    }),
  )
  api.put('/api/tickets/:id/as-written/:partId', { schema: { params: part, body: NewAsWritten } }, (request) =>
    once(desk, request, () => addAsWritten(db, request.params.id, request.params.partId, request.body)),
  )
  api.put('/api/tickets/:id/as-written/:partId/answer', { schema: { params: part, body: BecameReading } }, (request) =>
    once(desk, request, () => answerAsWritten(db, request.params.id, request.params.partId, request.body)),
  )

  api.put('/api/tickets/:id/choices/:partId', { schema: { params: part, body: NewChoice } }, (request) =>
    once(desk, request, () => addChoice(db, request.params.id, request.params.partId, request.body)),
  )
  api.put('/api/tickets/:id/acknowledgements/:partId', { schema: { params: part, body: NewAcknowledgement } }, (request) =>
    once(desk, request, () => addAcknowledgement(db, request.params.id, request.params.partId, request.body)),
  )

  api.put('/api/tickets/:id/hitches/:partId', { schema: { params: part, body: NewHitch } }, (request) =>
    once(desk, request, () => addHitch(db, request.params.id, request.params.partId, request.body)),
  )
  api.put('/api/tickets/:id/set-ups/:partId', { schema: { params: part, body: NewSetUp } }, (request) =>
    once(desk, request, () => addSetUp(db, request.params.id, request.params.partId, request.body)),
  )
  api.put('/api/tickets/:id/settings/:partId', { schema: { params: part, body: NewSetting } }, (request) =>
    once(desk, request, () => addSetting(db, request.params.id, request.params.partId, request.body)),
  )

  api.put('/api/tickets/:id/try-ons/:partId', { schema: { params: part, body: NewTryOn } }, (request) =>
    once(desk, request, () => addTryOn(db, request.params.id, request.params.partId, request.body)),
  )
  api.put('/api/tickets/:id/try-ons/:partId/observations/:noteId', { schema: { params: round, body: NewObservation } }, (request) =>
    once(desk, request, () => addObservation(db, request.params.id, request.params.partId, request.params.noteId, request.body)),
  )
  api.put('/api/tickets/:id/try-ons/:partId/symptoms/:noteId', { schema: { params: round, body: NewSymptomNote } }, (request) =>
    once(desk, request, () => addSymptomNote(db, request.params.id, request.params.partId, request.params.noteId, request.body)),
  )
}
