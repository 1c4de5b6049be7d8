import type { Car } from './car.schema.ts'
import { json, resource } from './resource.ts'

export type { Car, CarFields, CarSeat, CarSpace, NewCar } from './car.schema.ts'

export const cars = resource<Car>({
  name: 'car',
  table: 'cars',
  address: '/cars',
  tags: ['Cars'],
  columns: { id: 'id', name: 'name', ownerId: 'owner_id', seats: json('seats'), notes: 'notes', space: json('space'), createdAt: 'created_at' },
  made: 'createdAt',
  defaults: { space: null },
})
