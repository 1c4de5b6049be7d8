import { foldedName } from '../units/index.ts'
import { breeds, type Breed } from './breeds.ts'
import { tradeTypes } from './trade-types.ts'

/** Breeds of the registers, then what people call the rest. */
const named: readonly Breed[] = [...breeds, ...tradeTypes]

/** A name as people say it too: "standard poodle" for "Poodle, standard", without what stands in brackets, without "dog". */
const saidAs = (name: string): string[] => {
  const bare = foldedName(name.replace(/\s*\(.*\)/, ''))
  const [last = '', first] = bare.split(/,\s*/)
  const turned = first === undefined ? bare : `${first} ${last}`
  return [foldedName(name), bare, turned, turned.replace(/ dog$/, '')]
}
/** What a name says itself goes before what it is called too. */
const byName = new Map([
  ...named.flatMap((breed) => saidAs(breed.name).map((name) => [name, breed] as const)),
  ...named.map((breed) => [foldedName(breed.name), breed] as const),
])

/** The reference row of this breed name, marks and case aside; a name turned round or without its bracket is the same. */
export const findBreed = (name: string): Breed | undefined => byName.get(foldedName(name))

/** Breeds whose name holds what was typed, those that begin with it first. */
export function suggestBreeds(typed: string, most = 8): Breed[] {
  const wanted = foldedName(typed)
  if (wanted === '') return []
  const place = (breed: Breed): number => {
    const name = foldedName(breed.name)
    if (name.startsWith(wanted)) return 0
    if (name.split(/[\s(,]+/).some((word) => word.startsWith(wanted))) return 1
    return name.includes(wanted) ? 2 : 3
  }
  return named
    .map((breed) => ({ breed, at: place(breed) }))
    .filter(({ at }) => at < 3)
    .sort((a, b) => a.at - b.at)
    .slice(0, most)
    .map(({ breed }) => breed)
}
