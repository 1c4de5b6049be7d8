import { differenceInCalendarDays, parseISO } from 'date-fns'
import {
  aboutDog,
  adultFrom,
  families,
  findBreed,
  grownMonths,
  newestWeightKg,
  stillGrows,
  typicalForm,
  withGuesses,
  type Body,
  type Form,
  type Item,
  type SizedBody,
} from '@merry-tailor/core'
import { useMemo } from 'react'
import { useFormReading } from '../form'
import { useToday } from '../state/use-today'
import { useOpenTicket } from './open-ticket'

export interface GrownDog {
  body: SizedBody | null
  form: Form | null
  /** What it may weigh grown, by weight and age; `null` where nobody knows them. */
  adult: { kg: number; lowKg: number; highKg: number } | null
  /** Its form was worked out; until then the middle dog of its build stands there. */
  solved: boolean
}

/** Standard deviations across a band that holds four in five. */
const FOUR_IN_FIVE = 2 * 1.2816
const NOBODY: Body = {}

/** What a growing dog will be once grown, for what is bought for then: by its breed; `null` where none is known. */
export function useGrown(item: Item | undefined): GrownDog | undefined {
  const { dog, readings, weighings } = useOpenTicket().sheet
  const on = useToday()
  const wanted = item !== undefined && families[item.family].shelf === 'crate' && stillGrows(dog, on)
  const kg = newestWeightKg({ dog, readings, weighings })
  const weeks = dog?.born ? differenceInCalendarDays(parseISO(on), parseISO(dog.born)) / 7 : null
  // By what it weighs at its age it has an adult weight, whatever its breed.
  const adult = useMemo(
    () => (wanted && kg !== null && kg > 0 && weeks !== null && weeks >= 0 ? adultFrom({ ageWeeks: weeks, kg }) : null),
    [wanted, kg, weeks],
  )
  const known = wanted && dog !== null && (adult !== null || [dog.breed, dog.crossWith].some((name) => findBreed(name) !== undefined))
  const about = useMemo(() => (known ? { ...aboutDog(dog, on), ageMonths: grownMonths(dog), weightKg: null } : null), [known, dog, on])
  const body = useMemo((): Body => (adult ? { M00: { mm: adult.kg, sigmaMm: (adult.highKg - adult.lowKg) / FOUR_IN_FIVE } } : NOBODY), [adult])
  const reading = useFormReading(body, about, undefined, 'grown')
  const solved = about === null || reading !== null
  const form = useMemo(() => reading?.form ?? typicalForm(about), [reading, about])
  return useMemo(
    () => (!wanted ? undefined : about === null ? { body: null, form: null, adult, solved } : { body: withGuesses({}, form), form, adult, solved }),
    [wanted, about, form, adult, solved],
  )
}
