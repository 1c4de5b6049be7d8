import { Changes, Id, NewOwner } from '@merry-tailor/core'
import { z } from 'zod'
import { addOwner, changeOwner, listOwners, requireOwner } from '../db/owners.ts'
import { inOneTransaction, typed, type Routes } from './typed.ts'

const params = z.object({ id: Id })

export const ownerRoutes: Routes = (app, db) => {
  const api = typed(app)
  api.get('/api/owners', () => listOwners(db))
  api.get('/api/owners/:id', { schema: { params } }, (request) => requireOwner(db, request.params.id))
  api.put('/api/owners/:id', { schema: { params, body: NewOwner } }, (request) => inOneTransaction(db, () => addOwner(db, request.params.id, request.body)))
  api.patch('/api/owners/:id', { schema: { params, body: Changes } }, (request) =>
    inOneTransaction(db, () => changeOwner(db, request.params.id, request.body.changes)),
  )
}
