import { plainLetters, type Dog, type DogsPage } from '@merry-tailor/core'

/** Which dogs a list asks for. */
export interface DogsAsked {
  search: string
  owner: string | null
  /** How many from the top. */
  limit: number
}

const PATH = '/dogs/page?'
export const isDogsPage = (path: string): boolean => path.startsWith(PATH)

export function dogsPagePath({ search, owner, limit }: DogsAsked): string {
  const query = new URLSearchParams({ ...(search === '' ? {} : { search }), ...(owner === null ? {} : { owner }), limit: String(limit) })
  return `${PATH}${query.toString()}`
}

/** Names in the reader’s order, their numbers counted: dog 2 before dog 10. */
const byName = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' })

export const inNameOrder = (dogs: readonly Dog[]): Dog[] => [...dogs].sort((a, b) => byName.compare(a.name, b.name))

/** Has a dog's name every word typed? */
export function isNamed(dog: Dog, search: string): boolean {
  const plain = plainLetters(dog.name)
  return plainLetters(search)
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => plain.includes(word))
}

/** Puts a dog that so far is only here into its page, or where it was changed, at its new place. */
export function intoPage(path: string, page: DogsPage, dog: Dog): void {
  const query = new URLSearchParams(path.slice(PATH.length))
  const owner = query.get('owner')
  const belongs = isNamed(dog, query.get('search') ?? '') && (owner === null || dog.ownerId === owner)
  const stood = page.dogs.some((each) => each.id === dog.id)
  const rest = page.dogs.filter((each) => each.id !== dog.id)
  page.dogs = belongs ? inNameOrder([...rest, dog]) : rest
  page.total += Number(belongs) - Number(stood)
}
