import type { About } from './about.ts'
import type { Dog } from '../model/index.ts'
import { ageInMonths } from '../reference/index.ts'

/**
 * What the body form is told of a dog on a day.
 *
 * @param on `YYYY-MM-DD` or a date and time
 */
export const aboutDog = (dog: Dog | null, on: string): About | null =>
  dog && {
    breed: dog.breed,
    crossWith: dog.crossWith,
    sex: dog.sex,
    weightKg: dog.weightKg,
    ageMonths: ageInMonths(dog, on),
    coat: dog.coat,
    flatFace: dog.flatFace,
  }
