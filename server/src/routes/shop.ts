import { Changes, Day, FamilyId, Id, NewFitter } from '@merry-tailor/core/schemas'
import { KennelImport } from '@merry-tailor/core/formats'
import { z } from 'zod'
import { kennelList, takeKennelList } from '../db/kennel.ts'
import { foretoldPairs } from '../db/foretold-pairs.ts'
import { setOnDogs } from '../db/set-on-dogs.ts'
import { remindersOn } from '../db/reminders.ts'
import { addFitter, changeFitter, changeShop, listFitters, readShop } from '../db/shop.ts'
import { once, typed, type Routes } from './typed-routes.ts'

const params = z.object({ id: Id })

/** A kennel list of 5,000 dogs with readings stays below this. */
const LIST_LIMIT = 16 * 1024 * 1024

export const shopRoutes: Routes = (app, desk) => {
  const { db } = desk
  const api = typed(app)
  api.get('/api/shop', () => readShop(db))
  api.patch('/api/shop', { schema: { body: Changes } }, (request) => once(desk, request, () => changeShop(db, request.body.changes)))

  api.get('/api/fitters', () => listFitters(db))
  api.put('/api/fitters/:id', { schema: { params, body: NewFitter } }, (request) => once(desk, request, () => addFitter(db, request.params.id, request.body)))
  api.patch('/api/fitters/:id', { schema: { params, body: Changes } }, (request) =>
    once(desk, request, () => changeFitter(db, request.params.id, request.body.changes)),
  )

  api.get('/api/foretold', () => foretoldPairs(db))
  api.get('/api/set-on-dogs', { schema: { querystring: z.object({ family: FamilyId }) } }, (request) => setOnDogs(db, request.query.family))
  api.get('/api/reminders', { schema: { querystring: z.object({ on: Day }) } }, (request) => remindersOn(db, request.query.on))

  api.post('/api/kennel-list', { bodyLimit: LIST_LIMIT, schema: { body: KennelImport } }, (request) =>
    once(desk, request, () => takeKennelList(db, request.body)),
  )

  api.get('/api/kennel-list.csv', (_, reply) =>
    reply.header('content-disposition', 'attachment; filename="kennel-list.csv"').type('text/csv; charset=utf-8').send(kennelList(db)),
  )
}
