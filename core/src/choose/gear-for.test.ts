import { describe, expect, it } from 'vitest'
import { USUAL_SHOP, UNASKED, type Dog } from '../model/index.ts'
import { bootsFor, chooseStyles, coatsFor, cratesFor, gearFor, optionsOf, type GearQuestion } from './index.ts'

const ON = '2026-10-05'
const dog = (over: Partial<Dog> = {}): Dog => ({
  id: 'd', name: 'Tern', breed: '', crossWith: '', sex: 'female', born: '2022-01-01', ageMonths: null, ageSaidOn: null, weightKg: 20, coat: 'short-double',
  flatFace: false, sparing: false, notes: '', ownerId: null, createdAt: '2026-01-01T00:00:00Z', ...over,
}) // prettier-ignore
const ask = (over: Partial<GearQuestion> = {}) => gearFor({ dog: dog(), activities: [], needs: [], footing: [], hitch: null, options: { on: ON }, ...over })
const ranks = (ranked: readonly { family: string; rank: string }[]) => Object.fromEntries(ranked.map(({ family, rank }) => [family, rank]))

describe('boots by footing (handbook 5.5, from memory, unverified)', () => {
  it('are led by the one made for it, and cloth is wrong on hot ground', () => {
    expect(['snow', 'rock', 'hot', 'salt', 'indoor'].map((footing) => bootsFor({ footing: footing as 'snow' })[0]?.family)).toEqual([
      'B1',
      'B2',
      'B2',
      'B2',
      'B3',
    ])
    expect(ranks(bootsFor({ footing: 'hot' })).B1).toBe('wrong')
    expect(bootsFor({ footing: 'hot' })[0]).toEqual({ family: 'B2', rank: 'first', reasons: [{ code: 'hot-ground', for: true }], stops: [] })
  })

  it('of several footings each is as good as on its worst', () => {
    expect(ranks(bootsFor({ footing: ['snow', 'salt'] }))).toEqual({ B1: 'conditions', B2: 'conditions', B3: 'wrong' })
    expect(() => bootsFor({ footing: 'mud' as 'snow' })).toThrow(RangeError)
  })
})

describe('coats and crates by what they are for (handbook 5.5)', () => {
  it('keep dry with the suit, warm with the rug, and a thin coat in severe cold with the hooded coat', () => {
    expect(coatsFor({ dog: dog(), needs: ['dry'], on: ON })[0]).toMatchObject({ family: 'C4', rank: 'first' })
    expect(ranks(coatsFor({ dog: dog(), needs: ['dry'], on: ON }))).toMatchObject({ C1: 'wrong', C2: 'wrong' })
    expect(coatsFor({ dog: dog(), needs: ['warm'], on: ON })[0]?.family).toBe('C1')
    expect(coatsFor({ dog: dog({ coat: 'hairless' }), needs: ['warm'], on: ON, airC: -12 })[0]?.family).toBe('C3')
    expect(coatsFor({ dog: dog(), needs: ['warm'], on: ON, airC: 24 }).find(({ family }) => family === 'C3')?.rank).toBe('wrong')
    expect(coatsFor({ dog: dog({ flatFace: true }), needs: ['warm'], on: ON }).find(({ family }) => family === 'C3')).toMatchObject({ rank: 'conditions', reasons: expect.arrayContaining([{ code: 'no-rigid-hood', for: false }]) as unknown }) // prettier-ignore
  })

  it('ride and fly in the rigid crate, live in the wire one, and leave the soft one to trained dogs that do not chew', () => {
    expect([cratesFor({ dog: dog(), needs: ['ride'], on: ON })[0]?.family, cratesFor({ dog: dog(), needs: ['fly'], on: ON })[0]?.family]).toEqual(['K2', 'K2'])
    const puppy = cratesFor({ dog: dog({ born: '2026-08-01' }), needs: ['home'], on: ON })
    expect(puppy[0]).toMatchObject({ family: 'K1', rank: 'first' })
    expect(ranks(puppy)).toMatchObject({ K2: 'conditions', K3: 'wrong' })
    expect(ranks(cratesFor({ dog: dog(), needs: ['home'], on: ON, chews: true })).K3).toBe('wrong')
    expect(ranks(cratesFor({ dog: dog(), needs: ['ride', 'home'], on: ON }))).toMatchObject({ K1: 'conditions', K2: 'works', K4: 'wrong' })
  })
})

describe('what suits a dog and all it will do', () => {
  it('gives each job its best kind before any job has a second', () => {
    const all = ask({ activities: ['sled-team'], needs: ['dry', 'ride', 'paws'], footing: ['snow'] })
    const lead = all.slice(0, 4)
    expect(lead.map(({ family }) => family)).toEqual(expect.arrayContaining(['C4', 'B1']))
    for (const job of ['sled-team', 'dry', 'ride', 'paws'] as const) expect(lead.some(({ jobs }) => jobs.includes(job))).toBe(true)
    expect(lead.every(({ rank }) => rank === 'first')).toBe(true)
  })

  it('one piece for all is as good as on its worst work; a kind that does both says so', () => {
    const both = { activities: ['stroll', 'long-hike'], needs: [], footing: [] } as const
    const one = ask({ ...both, oneForAll: true })
    expect(one[0]).toMatchObject({ family: 'H01', rank: 'first', jobs: ['stroll', 'long-hike'] })
    expect(one.find(({ family }) => family === 'H04')?.rank).toBe('wrong')
    expect(ask(both).find(({ family }) => family === 'H04')).toMatchObject({ rank: 'works', jobs: ['stroll'] })
  })

  it('T17 marks are for this dog: no front clip for a puppy, no cross-back for a flat face', () => {
    const puppy = ask({ dog: dog({ born: '2026-08-08' }), activities: ['learning-puller'] })
    expect(puppy.find(({ family }) => family === 'H08')).toMatchObject({ rank: 'wrong', jobs: [] })
    const pug = ask({ dog: dog({ breed: 'Pug', flatFace: null }), activities: ['sled-team'] })
    expect(pug.find(({ family }) => family === 'H11')).toMatchObject({ rank: 'wrong', jobs: [] })
    expect(pug.every(({ rank, stops }) => rank === 'wrong' || rank === 'pointless' || stops.includes('flat-face-no-draught'))).toBe(true)
  })

  it('a further job in the optional field speaks against what is wrong for it', () => {
    const styles = chooseStyles({ dog: dog(), purpose: 'stroll', also: ['sled-team'], hitch: null, options: { on: ON } })
    expect(styles.find(({ family }) => family === 'H01')).toMatchObject({ rank: 'conditions', reasons: expect.arrayContaining([{ code: 'further-job', for: false }]) as unknown }) // prettier-ignore
    expect(chooseStyles({ dog: dog(), purpose: 'stroll', hitch: null, options: { on: ON } }).find(({ family }) => family === 'H01')?.rank).toBe('first')
  })

  it('T20 an open note of a missing limb is three legs', () => {
    const note = { id: 'n', kind: 'missing-limb', text: '', on: ON, at: `${ON}T09:00:00Z`, by: '', over: null } as const
    expect(optionsOf(UNASKED, ON, USUAL_SHOP.views, [note]).threeLegs).toBe(true)
    expect(optionsOf(UNASKED, ON, USUAL_SHOP.views, [{ ...note, over: ON }]).threeLegs).toBe(false)
  })
})
