import { Changes, Id, NewPiece } from '@merry-tailor/core'
import { z } from 'zod'
import { addPiece, changePiece, listPieces } from '../db/pieces.ts'
import { inOneTransaction, typed, type Routes } from './typed.ts'

const params = z.object({ id: Id })

export const pieceRoutes: Routes = (app, db) => {
  const api = typed(app)
  api.get('/api/pieces', () => listPieces(db))
  api.put('/api/pieces/:id', { schema: { params, body: NewPiece } }, (request) => inOneTransaction(db, () => addPiece(db, request.params.id, request.body)))
  api.patch('/api/pieces/:id', { schema: { params, body: Changes } }, (request) =>
    inOneTransaction(db, () => changePiece(db, request.params.id, request.body.changes)),
  )
}
