import { Changes, Id, NewCar } from '@merry-tailor/core/schemas'
import { z } from 'zod'
import { addCar, changeCar, listCars } from '../db/cars.ts'
import { once, typed, type Routes } from './typed-routes.ts'

const params = z.object({ id: Id })

/** Cars, with what a tape finds at each of their seats. */
export const carRoutes: Routes = (app, desk) => {
  const { db } = desk
  const api = typed(app)
  api.get('/api/cars', () => listCars(db))
  api.put('/api/cars/:id', { schema: { params, body: NewCar } }, (request) => once(desk, request, () => addCar(db, request.params.id, request.body)))
  api.patch('/api/cars/:id', { schema: { params, body: Changes } }, (request) =>
    once(desk, request, () => changeCar(db, request.params.id, request.body.changes)),
  )
}
