import { Changes, Id, NewPiece } from '@merry-tailor/core/schemas'
import { z } from 'zod'
import { changeBooking, listBookings } from '../db/bookings.ts'
import { addPiece, changePiece, listPieces } from '../db/pieces.ts'
import { once, typed, type Routes } from './typed-routes.ts'

const params = z.object({ id: Id })

export const pieceRoutes: Routes = (app, desk) => {
  const { db } = desk
  const api = typed(app)
  api.get('/api/pieces', () => listPieces(db))
  api.put('/api/pieces/:id', { schema: { params, body: NewPiece } }, (request) => once(desk, request, () => addPiece(db, request.params.id, request.body)))
  api.get('/api/bookings', () => listBookings(db))
  api.patch('/api/bookings/:id', { schema: { params, body: Changes } }, (request) =>
    once(desk, request, () => changeBooking(db, request.params.id, request.body.changes)),
  )
  api.patch('/api/pieces/:id', { schema: { params, body: Changes } }, (request) =>
    once(desk, request, () => changePiece(db, request.params.id, request.body.changes)),
  )
}
