import { describe, expect, it } from 'vitest'
import { FAMILY_IDS } from '../model/index.ts'
import { DRESSING_CODES, families } from '../gear/index.ts'
import { dressingCard } from './index.ts'

const codes = (list: readonly { code: string }[]): string[] => list.map(({ code }) => code)
const card = (family: (typeof FAMILY_IDS)[number], over: Partial<Parameters<typeof dressingCard>[0]> = {}) => dressingCard({ family, dog: null, ...over })

describe('how gear goes on, comes off and is set (handbook 8.2, 8.4, 8.7, 8.8, common practice)', () => {
  it('says for every kind how on, off, out at once and used to, by codes that are known', () => {
    for (const family of FAMILY_IDS) {
      const { on, off, release, habituation, first, set, seat } = card(family)
      expect([family, on.length > 0, off.length > 0, release.length > 0, habituation.length > 0, first.length > 0]).toEqual([
        family,
        true,
        true,
        true,
        true,
        true,
      ])
      for (const { code } of [...on, ...off, ...release, ...habituation, ...first, ...set, ...(seat ?? [])])
        expect([family, DRESSING_CODES.includes(code)]).toEqual([family, true])
    }
  })

  it('takes the line off first of whatever pulls, and the lead before a walking harness', () => {
    for (const family of FAMILY_IDS) {
      const first = card(family).off[0]?.code
      if (families[family].pulls) expect([family, first]).toEqual([family, 'line-off'])
      else if (families[family].shelf === 'walking') expect([family, first]).toEqual([family, 'lead-off'])
    }
  })

  it('sets an assist harness by belly, girth, both neck straps and chest, a panel by girth, tails and neck, a rain suit by its cords', () => {
    expect(card('H09').set.flatMap(({ part }) => part ?? [])).toEqual(['belly', 'girth', 'neck, left', 'neck, right', 'chest'])
    expect(codes(card('H24', { gear: { build: 'panel' } }).set)).toEqual(['tighten', 'tighten', 'tails-in', 'tighten'])
    expect(codes(card('H24', { gear: { build: 'two-buckle' } }).set)).toEqual(['tighten', 'meet-in-line', 'fix-keepers'])
    expect(card('C4').set.at(0)?.part).toBe('chest-front cord')
    expect(card('C4').set.at(-1)).toEqual({ code: 'last', part: 'collar rain cord' })
    expect(codes(card('B2').set)).toEqual(['tighten', 'walk-at-once', 'strap-again'])
    expect(card('H23').set.map(({ part }) => part)).toEqual(['neck and keel', 'traces', 'forward cinch', 'shaft loops', 'belly band', 'rear traces', undefined])
    // What is sewn fixed has nothing to set.
    for (const family of ['H11', 'H13', 'H19', 'H20'] as const) expect(card(family).set).toEqual([])
  })

  it('minds hair, paws and a dog that fights the head opening', () => {
    expect(codes(card('H01', { dog: { coat: 'thick-double' } }).on)).toContain('draw-ruff-through')
    expect(codes(card('H01', { dog: { coat: 'smooth' } }).on)).not.toContain('draw-ruff-through')
    // A pulling neck has it drawn through anyway, once.
    expect(codes(card('H11', { dog: { coat: 'thick-double' } }).on).filter((code) => code.startsWith('draw'))).toEqual(['draw-skin-through'])
    const shy = card('H01', { dog: { coat: null, traits: ['head-shy'] } })
    expect(codes(shy.on).indexOf('head-in-by-treats')).toBe(codes(shy.on).indexOf('over-the-head') - 1)
    expect(codes(shy.habituation)).toContain('head-in-by-treats')
    expect(codes(card('B1', { dog: { traits: ['wriggles'] } }).on)[0]).toBe('touch-paws-first')
  })

  it('tells the seat of a car harness alone: belt, no tether, no air bag, and what a crash means', () => {
    expect(codes(card('H24').seat ?? [])).toEqual([
      'rear-in-the-middle',
      'head-to-the-centre',
      'belt-90-cm',
      'thread-and-buckle',
      'no-tether',
      'no-air-bag',
      'replace-after-crash',
    ])
    // A hand holds the dog before a buckle opens beside the road, in haste too.
    for (const build of ['panel', 'two-buckle', null])
      for (const way of ['off', 'release'] as const) expect(codes(card('H24', { gear: { build } })[way])).toEqual(['away-from-traffic', 'both-buckles'])
    expect(card('H01').seat).toBeUndefined()
    expect(codes(card('H11').first)).toContain('short-and-light')
    expect(codes(card('H01').first)).not.toContain('short-and-light')
  })

  it('gives a card of its own each time: what is done with one does nothing to the next', () => {
    card('H01').on.push({ code: 'strap' })
    expect(codes(card('H01').on)).not.toContain('strap')
  })
})
