import { describe, expect, it } from 'vitest'
import { families } from '../gear/index.ts'
import { ACTIVITIES, type Activity, type Dog, type FamilyId, type ShopFields, type DisagreementId } from '../model/index.ts'
import { chooseStyles, disagreements, sidesTaken, disagreementBears, DISAGREEMENTS_ON } from './index.ts'

const RANKS = ['first', 'works', 'conditions', 'wrong', 'pointless']
const dog = { name: 'Tern', born: '2022-01-01', ageMonths: null, ageSaidOn: null, flatFace: false, breed: '', crossWith: '', sparing: false, weightKg: 21 } as unknown as Dog // prettier-ignore
const ranks = (purpose: Activity, views: ShopFields['views'], more: object = {}): Record<string, number> =>
  Object.fromEntries(
    chooseStyles({ dog, purpose, hitch: null, options: { on: '2026-10-05', views, ...more } }).map(({ family, rank }) => [family, RANKS.indexOf(rank)]),
  )
const place = (purpose: Activity, views: ShopFields['views'], family: FamilyId, more: object = {}): number =>
  chooseStyles({ dog, purpose, hitch: null, options: { on: '2026-10-05', views, ...more } }).findIndex((style) => style.family === family)
const bears = { purpose: 'sled-team', crabs: true, flexes: true, wheelPlace: true }

describe('sides where practitioners disagree (handbook 13, common practice)', () => {
  it('no side ever raises a rank, for any work', () => {
    for (const { id } of disagreements) {
      for (const side of ['A', 'B'] as const) {
        for (const purpose of ACTIVITIES) {
          for (const more of [{}, { crabs: true, flexes: true, wheelPlace: true }]) {
            const [without, with_] = [ranks(purpose, {}, more), ranks(purpose, { [id]: side }, more)]
            // D21 has a recommendation of its own for a flexing back: taking a side takes its place.
            if (id === 'D21' && 'flexes' in more) continue
            for (const family of Object.keys(without)) expect([id, side, purpose, family, with_[family]! >= without[family]!]).toEqual([id, side, purpose, family, true]) // prettier-ignore
          }
        }
      }
    }
  })

  it('each moves what it speaks of', () => {
    const sled = { crabs: true }
    // Half-backs stand at the head of what works there already; the side is said with them.
    expect(place('bike-front', { D22: 'A' }, 'H14')).toBeLessThanOrEqual(place('bike-front', { D22: 'B' }, 'H14'))
    const half = chooseStyles({ dog, purpose: 'bike-front', hitch: null, options: { on: '2026-10-05', views: { D22: 'A' } } }).find(
      ({ family }) => family === 'H14',
    )
    expect(half?.reasons).toContainEqual({ code: 'shop-view', for: true })
    expect(place('bike-front', { D22: 'B' }, 'H18')).toBeLessThan(place('bike-front', { D22: 'A' }, 'H18'))
    expect(place('wheel-place', { D23: 'A' }, 'H19')).toBeLessThan(place('wheel-place', { D23: 'B' }, 'H19'))
    expect(place('sled-team', { D24: 'B' }, 'H17', sled)).toBeLessThanOrEqual(place('sled-team', { D24: 'A' }, 'H17', sled))
    expect(place('sled-team', { D21: 'B' }, 'H12')).toBeLessThan(place('sled-team', { D21: 'B' }, 'H11'))
    expect(place('sled-team', { D21: 'A' }, 'H11')).toBe(0)
  })

  it('two make a kind wrong: the strap across the chest and the front clip', () => {
    expect(ranks('stroll', {}).H03).toBeLessThan(3)
    expect(ranks('stroll', { D17: 'B' }).H03).toBe(3)
    expect(ranks('learning-puller', { D18: 'B' }).H08).toBe(3)
    const never = (['A', 'B'] as const).flatMap((side) => disagreements.flatMap(({ id }) => sidesTaken({ [id]: side }, bears).filter((each) => each.never).map((each) => each.view))) // prettier-ignore
    expect(never).toEqual(['D17', 'D18'])
  })

  it('bear only on the work and the dog they are about', () => {
    const ticket = { traits: [], teamPlace: null } as Parameters<typeof disagreementBears>[2]
    const on = (id: DisagreementId) => ACTIVITIES.filter((purpose) => disagreementBears(id, purpose, ticket))
    expect([on('D22'), on('D23'), on('D24'), on('D27')]).toEqual([['bike-front'], ['wheel-place'], [], ['weight-drag', 'cart']])
    expect(disagreementBears('D24', 'stroll', { ...ticket, traits: ['crabs'] })).toBe(true)
    expect(disagreementBears('D23', 'sled-team', { ...ticket, teamPlace: 'wheel' })).toBe(true)
  })

  it('are shown beside every family they speak of, and beside no other', () => {
    const spoken = new Map<FamilyId, Set<DisagreementId>>()
    for (const purpose of [...ACTIVITIES]) {
      for (const { id } of disagreements) {
        for (const side of ['A', 'B'] as const) {
          for (const taken of sidesTaken({ [id]: side }, { ...bears, purpose })) {
            for (const family of [...taken.for, ...taken.against]) (spoken.get(family) ?? spoken.set(family, new Set()).get(family))?.add(taken.view)
          }
        }
      }
    }
    for (const [family, views] of spoken) {
      // A cross with a chest piece, side hooks or a sliding loop is an X too; its own question stands beside it first.
      const shown = DISAGREEMENTS_ON[family] ?? []
      const missing = [...views].filter((view) => !shown.includes(view) && !(view === 'D21' && ['H16', 'H17', 'H18'].includes(family)))
      expect([family, missing]).toEqual([family, []])
    }
    for (const family of Object.keys(DISAGREEMENTS_ON) as FamilyId[])
      expect([family, spoken.has(family), families[family].shelf !== 'coat']).toEqual([family, true, true])
  })
})
