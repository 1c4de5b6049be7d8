import type { Dog } from './dog.schema.ts'
import { flag, resource } from './resource.ts'

export type { CoatClass, Dog, DogFields, NewDog, Sex } from './dog.schema.ts'

export const dogs = resource<Dog>({
  name: 'dog',
  table: 'dogs',
  address: '/dogs',
  tags: ['Dogs', 'Tickets', 'Found'],
  columns: {
    id: 'id',
    name: 'name',
    breed: 'breed',
    crossWith: 'cross_with',
    sex: 'sex',
    born: 'born',
    ageMonths: 'age_months',
    ageSaidOn: 'age_said_on',
    weightKg: 'weight_kg',
    coat: 'coat',
    flatFace: flag('flat_face'),
    sparing: flag('sparing'),
    notes: 'notes',
    ownerId: 'owner_id',
    createdAt: 'created_at',
  },
  made: 'createdAt',
  defaults: {
    breed: '',
    crossWith: '',
    sex: null,
    born: null,
    ageMonths: null,
    ageSaidOn: null,
    weightKg: null,
    coat: null,
    flatFace: null,
    sparing: false,
    notes: '',
    ownerId: null,
  },
})

/** A page of dogs by name, and how many there are in all. */
export interface DogsPage {
  dogs: Dog[]
  total: number
}
