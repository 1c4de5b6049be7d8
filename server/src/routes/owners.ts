import { Changes, Id, NewOwner } from '@merry-tailor/core/schemas'
import { z } from 'zod'
import { addOwner, changeOwner, listOwners, requireOwner } from '../db/owners.ts'
import { once, typed, type Routes } from './typed-routes.ts'

const params = z.object({ id: Id })

export const ownerRoutes: Routes = (app, desk) => {
  const { db } = desk
  const api = typed(app)
  api.get('/api/owners', () => listOwners(db))
  api.get('/api/owners/:id', { schema: { params } }, (request) => requireOwner(db, request.params.id))
  api.put('/api/owners/:id', { schema: { params, body: NewOwner } }, (request) => once(desk, request, () => addOwner(db, request.params.id, request.body)))
  api.patch('/api/owners/:id', { schema: { params, body: Changes } }, (request) =>
    once(desk, request, () => changeOwner(db, request.params.id, request.body.changes)),
  )
}
