import { Changes, Id, NewDog } from '@merry-tailor/core'
import { z } from 'zod'
import { addDog, changeDog, listDogs } from '../db/dogs.ts'
import { dogSheet } from '../db/sheets.ts'
import { inOneTransaction, typed, type Routes } from './typed.ts'

const params = z.object({ id: Id })

export const dogRoutes: Routes = (app, db) => {
  const api = typed(app)
  api.get('/api/dogs', () => listDogs(db))
  api.get('/api/dogs/:id', { schema: { params } }, (request) => dogSheet(db, request.params.id))
  api.put('/api/dogs/:id', { schema: { params, body: NewDog } }, (request) => inOneTransaction(db, () => addDog(db, request.params.id, request.body)))
  api.patch('/api/dogs/:id', { schema: { params, body: Changes } }, (request) =>
    inOneTransaction(db, () => changeDog(db, request.params.id, request.body.changes)),
  )
}
