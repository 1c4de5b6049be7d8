import { describe, expect, it } from 'vitest'
import {
  adjustersOf,
  breeds,
  checksFor,
  crateOffer,
  crateOfChart,
  families,
  findBreed,
  measures,
  solveForm,
  withGuesses,
  type SizedBody,
} from '../src/index.ts'

const inch = 25.4
const mm = (inches: number) => ({ mm: inches * inch, sigmaMm: 4 })

describe('check values about gear, as the handbook has them (common practice)', () => {
  it('V20: the assist harness has five adjusters, two leash points, two fingers, and is set in about two minutes', () => {
    const { parts, dressing } = families.H09
    expect(adjustersOf('H09')).toBe(5)
    expect(new Set([parts.pull, ...parts.rings]).size).toBe(2)
    expect(dressing.set.at(-1)?.code).toBe('two-minutes-in-all')
    expect(checksFor('H09').map(({ id }) => id)).toContain('sides-equal')
  })

  it('V22: a walking Y with three buckles has four adjusters', () => {
    expect(adjustersOf('H01')).toBe(4)
  })

  it('V24: the front clip has a double lead, two attachment points, and wants a collar', () => {
    const { parts, dressing, build } = families.H08
    expect(new Set([parts.pull, ...parts.rings]).size).toBe(2)
    expect(build).toMatch(/link to the collar, double-ended lead/)
    expect(dressing.on[0]?.code).toBe('collar-first')
    expect(dressing.on.at(-1)?.code).toBe('lead-both-ends')
  })

  it('V26: a foreleg of 20 to the floor is 17 to the wrist, 0.85 of it; a suit asks the wrist', () => {
    expect(17 / 20).toBe(0.85)
    expect(families.C4.tapes.stock.map((tape) => tape.measure)).toContain('M26')
    expect(families.C4.tapes.stock.map((tape) => tape.measure)).not.toContain('M25')
    // A dog of that foreleg: the wrist is below the floor, and within what any dog has.
    const form = solveForm({ M25: { mm: 200, sigmaMm: 4 }, M26: { mm: 170, sigmaMm: 4 } }, { build: 'terrier' })
    expect((form.measures.M26?.mm ?? 0) / (form.measures.M25?.mm ?? 1)).toBeLessThan(0.95)
  })

  it('V28: standing, the front carries 60 of 100 parts, and the help at the front paw says so', () => {
    expect(measures.M32?.howTo.stand).toMatch(/60 of 100 parts/)
    expect(measures.M34?.howTo.stand).not.toMatch(/60/)
  })

  it('V29: narrow unpadded straps are bearable for about half an hour', () => {
    for (const family of ['H04', 'H06'] as const) expect([family, /about half an hour/.test(families[family].wrong)]).toEqual([family, true])
  })

  it('V42: the panel harness for the car has four adjusters', () => {
    expect(adjustersOf('H24')).toBe(4)
  })

  it('V46: charts name a crate by breed as a first guess; the tapes decide, and a mastiff cross has room to spare in 48', () => {
    expect(['Chihuahua', 'Shih Tzu', 'Beagle', 'Dalmatian', 'Boxer', 'Greyhound', 'Great Dane'].map((breed) => crateOfChart(breed)?.label)).toEqual(['18', '24', '30', '36', '42', '48', '54']) // prettier-ignore
    expect(crateOfChart('Whippet')).toBeNull()
    // A cross of a mastiff kind that lies in 40 in and is 27 in high: the 48, with room.
    const cross: SizedBody = { M42: mm(40), M39: mm(27), M40: mm(27), M41: mm(25), M44: mm(9) }
    const offer = crateOffer('K1', cross)
    expect(offer?.best?.label).toBe('48')
    expect(offer?.best?.grade).toBe('holds')
  })

  it('V47: the Malamute’s 42 is named and contradicted in one breath', () => {
    expect(crateOfChart('Alaskan Malamute')).toEqual({ label: '42', thoughtTooSmall: true })
    const body = withGuesses({}, solveForm({}, { breed: 'Alaskan Malamute' }))
    expect(Number.parseInt(crateOffer('K1', body)?.best?.label ?? '0', 10)).toBeGreaterThan(42)
  })

  it('V49: two doors on wire; one door, two half shells and two side windows on the travel crate', () => {
    expect(families.K1.build).toMatch(/two doors/)
    expect(families.K2.build).toMatch(/[Tt]wo half shells, one metal door, two side windows/)
  })
})

it('a breed is found as people say it', () => {
  expect(['Standard Poodle', 'German Shepherd', 'belgian shepherd', 'Miniature Poodle', 'poodle, toy'].map((name) => findBreed(name)?.name)).toEqual([
    'Poodle, standard',
    'German Shepherd Dog',
    'Belgian Shepherd (4 varieties)',
    'Poodle, miniature',
    'Poodle, toy',
  ])
  // Every breed still answers to its own name.
  expect(
    breeds.filter(({ name, fci, build }) => {
      const found = findBreed(name)
      return found?.fci !== fci || found.build !== build
    }),
  ).toEqual([])
})
