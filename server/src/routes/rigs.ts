import { Changes, Id, NewRig } from '@merry-tailor/core/schemas'
import { z } from 'zod'
import { addRig, changeRig, listRigs } from '../db/rigs.ts'
import { once, typed, type Routes } from './typed-routes.ts'

const params = z.object({ id: Id })

/** Carts, wagons, runners and drags. */
export const rigRoutes: Routes = (app, desk) => {
  const { db } = desk
  const api = typed(app)
  api.get('/api/rigs', () => listRigs(db))
  api.put('/api/rigs/:id', { schema: { params, body: NewRig } }, (request) => once(desk, request, () => addRig(db, request.params.id, request.body)))
  api.patch('/api/rigs/:id', { schema: { params, body: Changes } }, (request) =>
    once(desk, request, () => changeRig(db, request.params.id, request.body.changes)),
  )
}
