import { describe, expect, it } from 'vitest'
import { typicalForm } from '../form/index.ts'
import { CAUSES, families, symptoms } from '../gear/index.ts'
import { strapsOf } from '../lay/index.ts'
import { FAMILY_IDS, type Setting } from '../model/index.ts'
import {
  foretell,
  foretellOrNull,
  holdingRanges,
  madeToMeasure,
  predictChecks,
  predictionOf,
  rankCauses,
  settingOrder,
  settingPlan,
  settingsNow,
  sliderMoves,
  startSettings,
  strapLengths,
} from './index.ts'

const form = typicalForm({ build: 'retriever' })
const LEVEL = { riseRad: 0 }
const strapsFor = (family: 'H01' | 'H11' | 'H09') =>
  Object.fromEntries(Object.entries(madeToMeasure({ form, family, gauge: null }).straps).map(([id, { mm }]) => [id, mm]))

describe('strap lengths', () => {
  const bands = { M01: [520, 560], M07: [680, 740] } as const
  const size = { bands: { M01: [...bands.M01] as [number, number], M07: [...bands.M07] as [number, number] } }

  it('are the maker’s where he gives them, by the words tied to them; else laid flat; else of the dog of his bands', () => {
    const told = strapLengths({ family: 'H01', size: { ...size, straps: { Chest: [700, 800], Tail: [100, 120] } }, strapWords: { Chest: 'girth', Tail: null } })
    expect(told.girth).toMatchObject({ mm: 750, leastMm: 700, mostMm: 800, from: 'maker' })
    expect(told.neck?.from).toBe('bands')
    const flat = strapLengths({ family: 'H01', size, piece: { flat: { M01: [530, 600] } } })
    expect(flat.neck).toMatchObject({ leastMm: 530, mostMm: 600, from: 'flat' })
    const own = strapLengths({ family: 'H11', size: { bands: { M01: [520, 560] } } })
    expect(Object.keys(own).sort()).toEqual(['cross', 'neck', 'rear', 'side'])
    for (const strap of Object.values(own)) expect([strap.leastMm, strap.mostMm]).toEqual([strap.mm, strap.mm])
    expect(() => strapLengths({ family: 'H11' })).toThrow(/neither bands nor strap lengths/)
    expect(() => strapLengths({ family: 'K1', size })).toThrow(RangeError)
  })
})

describe('checks foretold', () => {
  it('has a row for every check and state of the kind, under every strap once a strap', () => {
    for (const family of ['H01', 'H11', 'H21', 'H24'] as const) {
      const straps = Object.fromEntries(Object.entries(madeToMeasure({ form, family, gauge: null }).straps).map(([id, { mm }]) => [id, mm]))
      const rows = predictChecks({ form, family, straps, pull: null, gauge: null })
      for (const check of families[family].checks)
        for (const state of check.states) {
          const own = rows.filter((row) => row.check === check.id && row.state === state)
          expect([family, check.id, own.length]).toEqual([family, check.id, check.id === 'under-every-strap' ? strapsOf(family).length : 1])
        }
      expect(rows.some(({ grade }) => grade !== 'none')).toBe(true)
      expect(rows.filter(({ grade }) => grade === 'holds').every(({ symptom }) => symptom === null)).toBe(true)
    }
  })

  it('names the symptom of a harness far too big: V low, sides behind the ribs, end past the tail', () => {
    const big = Object.fromEntries(Object.entries(strapsFor('H11')).map(([id, mm]) => [id, mm * 1.18]))
    const rows = predictChecks({ form, family: 'H11', straps: big, pull: LEVEL, gauge: null })
    const of = (check: string) => rows.find((row) => row.check === check && row.state === 'pulling')
    expect([of('v-on-breastbone')?.symptom, of('sides-on-ribs')?.symptom, of('tug-at-tail-base')?.symptom]).toEqual(['S02', 'S11', 'S06'])
    expect(of('tug-at-tail-base')?.grade).toBe('fails')
  })

  it('compares clothes, boots and crates with the dog’s own tapes (7.2; toes from memory, unverified)', () => {
    const foot = form.measures.M33?.mm ?? 0
    const boot = (mm: number) => predictChecks({ form, family: 'B2', size: { bands: {} }, piece: { flat: { M33: [mm, mm] } }, pull: null, gauge: null })
    const toes = (mm: number) => boot(mm).find(({ check }) => check === 'toes-near-the-end')
    expect(toes(foot + 4.5)?.mm).toBeCloseTo(4.5)
    expect([toes(foot - 12)?.grade, toes(foot - 12)?.symptom]).toEqual(['fails', 'S65'])
    expect(toes(foot + 30)?.symptom).toBe('S64')
    const low = predictChecks({ form, family: 'K1', size: { bands: { M40: [300, 310] } }, pull: null, gauge: null })
    expect(low.find(({ check }) => check === 'stands-in-it')?.symptom).toBe('S70')
    expect(() => predictChecks({ form, family: 'B2', pull: null, gauge: null })).toThrow(RangeError)
  })

  it('takes the shop’s own ranges before the handbook’s', () => {
    const straps = strapsFor('H11')
    const row = (rules?: { 'tug-at-tail-base': readonly [number, number] }) =>
      predictChecks({ form, family: 'H11', straps, pull: LEVEL, gauge: null, ...(rules ? { rules } : {}) }).find(({ check }) => check === 'tug-at-tail-base')
    expect(row({ 'tug-at-tail-base': [2000, 3000] })?.grade).toBe('fails')
    expect(row()?.grade).not.toBe('fails')
  })

  it('is kept as it was foretold: rounded, with the strap lengths and the version of the rules', () => {
    const kept = predictionOf(foretell({ form, family: 'H11', straps: strapsFor('H11'), pull: LEVEL, gauge: null }))
    expect(kept.version).toBeGreaterThan(0)
    expect(Object.keys(kept.straps).sort()).toEqual(['cross', 'neck', 'rear', 'side'])
    expect(kept.checks.every(({ mm }) => mm === null || Math.abs(mm * 10 - Math.round(mm * 10)) < 1e-6)).toBe(true)
  })
})

describe('straps as they were set', () => {
  const size = { bands: { M01: [520, 560] as [number, number], M07: [680, 740] as [number, number] } }
  const asked = { form, family: 'H01', size, build: 'walking', pull: LEVEL, gauge: null } as const
  const plain = foretell(asked)
  const sides = (leftMm: number, rightMm: number | null) => ({ leftMm, rightMm })

  it('go before the thing’s own, a ring by the mean of its sides, another strap by the longer; the rest stays', () => {
    const set = foretell({ ...asked, set: { girth: sides(700, 720), keel: sides(150, 170), tag: sides(9, 9) } })
    expect(set.straps).toEqual({ ...plain.straps, girth: 710, keel: 170 })
    expect(set.lengths).toEqual(plain.lengths)
    expect(foretell({ ...asked, set: {} })).toEqual(plain)
    expect(foretell({ ...asked, set: { girth: sides(700, null) } }).straps.girth).toBe(700)
  })

  it('are known: what hangs on them alone spreads less than when they are inferred', () => {
    const spread = (of: typeof plain) => of.checks.find(({ check, strap }) => check === 'under-every-strap' && strap === 'girth')?.sigmaMm ?? 0
    const girth = plain.straps.girth ?? 0
    expect(spread(plain)).toBeGreaterThan(0)
    expect(spread(foretell({ ...asked, set: { girth: sides(girth, null) } }))).toBeLessThan(spread(plain))
  })

  it('are laid over one made to measure too, and nothing known of the thing stays unforetold', () => {
    const made = foretell({ form, family: 'H11', made: true, pull: LEVEL, gauge: null, set: { rear: sides(400, null) } })
    expect(made.straps).toEqual({ ...strapsFor('H11'), rear: 400 })
    expect(foretellOrNull({ form, family: 'H11', pull: LEVEL, gauge: null })).toBeNull()
  })
})

describe('start settings', () => {
  it('hold, or say what they miss, and stay inside what can be set', () => {
    const aimed = strapsFor('H01')
    const adjusters = Object.fromEntries(Object.entries(aimed).map(([id, mm]) => [id, { leastMm: mm * 0.85, mostMm: mm * 1.15 }]))
    const free = startSettings({ form, family: 'H01', adjusters, gauge: null })
    expect(free.misses).toEqual([])
    expect(free.atEnd).toEqual([])
    for (const [id, mm] of Object.entries(free.straps)) expect(mm > (adjusters[id]?.leastMm ?? 0) && mm < (adjusters[id]?.mostMm ?? 0)).toBe(true)
    // A girth strap that ends far too soon: at its end, and it says so.
    const short = { ...adjusters, girth: { leastMm: (aimed.girth ?? 0) * 0.7, mostMm: (aimed.girth ?? 0) * 0.86 } }
    const tight = startSettings({ form, family: 'H01', adjusters: short, gauge: null })
    expect(tight.atEnd).toContain('girth')
    expect(tight.misses.length).toBeGreaterThan(0)
  })

  it('refuses a range that is none and a strap the family has not', () => {
    expect(() => startSettings({ form, family: 'H01', adjusters: { girth: { leastMm: 800, mostMm: 700 } }, gauge: null })).toThrow(/goes from 800 to 700/)
    expect(() => startSettings({ form, family: 'H01', adjusters: { tail: { leastMm: 1, mostMm: 2 } }, gauge: null })).toThrow(/no strap tail/)
    expect(() => startSettings({ form, family: 'C1', adjusters: {}, gauge: null })).toThrow(RangeError)
  })
})

describe('slider moves', () => {
  it('go in the order of 8.2, left before right, half as far on doubled webbing, and nothing under 5 mm', () => {
    const from = {
      neck: { leftMm: 500, rightMm: 508 },
      girth: { leftMm: 700, rightMm: null },
      belly: { leftMm: 600, rightMm: 600 },
      keel: { leftMm: 200, rightMm: null },
    }
    const to = {
      keel: { leftMm: 203, rightMm: null },
      neck: { leftMm: 480, rightMm: 480 },
      girth: { leftMm: 720, rightMm: null },
      belly: { leftMm: 590, rightMm: 590 },
    }
    expect(sliderMoves('H09', from, to)).toEqual([
      { strap: 'belly', side: 'left', byMm: -10, sliderMm: -5 },
      { strap: 'belly', side: 'right', byMm: -10, sliderMm: -5 },
      { strap: 'girth', side: null, byMm: 20, sliderMm: 10 },
      { strap: 'neck', side: 'left', byMm: -20, sliderMm: -10 },
      { strap: 'neck', side: 'right', byMm: -28, sliderMm: -14 },
    ])
    expect(sliderMoves('H21', { girth: { leftMm: 700, rightMm: null } }, { girth: { leftMm: 680, rightMm: null } })).toEqual([
      { strap: 'girth', side: null, byMm: -20, sliderMm: -20 },
    ])
    expect(sliderMoves('H01', { girth: { leftMm: 700, rightMm: null, doubled: false } }, { girth: { leftMm: 680, rightMm: null } })[0]?.sliderMm).toBe(-20)
    // A cart's loops are set too, in their place between drop and band; moved to themselves nothing moves.
    const cart = {
      rear: { leftMm: 800, rightMm: 806 },
      belly: { leftMm: 790, rightMm: null },
      loop: { leftMm: 108, rightMm: 108 },
      loopDrop: { leftMm: 230, rightMm: 230 },
    }
    expect(sliderMoves('H23', cart, cart)).toEqual([])
    const moved = Object.fromEntries(
      Object.entries(cart).map(([id, { leftMm, rightMm }]) => [id, { leftMm: leftMm - 9, rightMm: rightMm === null ? null : rightMm - 9 }]),
    )
    expect(sliderMoves('H23', cart, moved).map(({ strap }) => strap)).toEqual(['loopDrop', 'loopDrop', 'loop', 'loop', 'belly', 'rear', 'rear'])
    expect(() => sliderMoves('H01', { loop: { leftMm: 1, rightMm: null } }, {})).toThrow(/no strap loop/)
    expect(() => sliderMoves('H01', { girth: { leftMm: Number.NaN, rightMm: null } }, {})).toThrow(/no number/)
  })

  it('8.2: belly, girth, then neck on the assist harness; neck before girth on the running plate; body piece first on a draft harness', () => {
    expect(settingOrder('H09').slice(0, 3)).toEqual(['belly', 'girth', 'neck'])
    expect(settingOrder('H10').slice(0, 2)).toEqual(['neck', 'girth'])
    expect(settingOrder('H23').slice(0, 2)).toEqual(['neck', 'keel'])
    expect(settingOrder('H23').indexOf('cinch')).toBeLessThan(settingOrder('H23').indexOf('belly'))
  })

  it('starts from how the straps of this dog stand: the newest of a part and side', () => {
    const setting = (part: string, side: Setting['side'], mm: number, more: Partial<Setting> = {}): Setting => ({
      id: `${part}${side}${mm}`, of: { itemId: 'a' }, dogId: 'd', part, side, mm, mark: '', at: '', by: '', ...more,
    }) // prettier-ignore
    const all = [
      setting('neck', 'both', 500),
      setting('neck', 'left', 490),
      setting('girth', 'both', 700),
      setting('girth', 'both', 690, { struck: { at: '', by: '', why: '' } }),
      setting('girth', 'both', 650, { dogId: 'another' }),
    ]
    expect(settingsNow(all, { itemId: 'a' }, 'd')).toEqual({ neck: { leftMm: 490, rightMm: 500 }, girth: { leftMm: 700, rightMm: 700 } })
    expect(settingsNow(all, { pieceId: 'p' }, 'd')).toEqual({})
  })
})

describe('causes', () => {
  const straps = strapsFor('H11')
  const predicted = predictChecks({ form, family: 'H11', straps, pull: LEVEL, gauge: null, withoutSpread: true })

  it('are named for every symptom, by codes of their own, with checks the house knows', () => {
    for (const id of Object.keys(symptoms)) expect(CAUSES[id as keyof typeof CAUSES].length, id).toBeGreaterThan(0)
    const known = new Set(FAMILY_IDS.flatMap((family) => families[family].checks.map((check): string => check.id)))
    for (const [id, causes] of Object.entries(CAUSES)) {
      expect(new Set(causes.map(({ code }) => code)).size, id).toBe(causes.length)
      for (const { shows } of causes) for (const [check] of shows) expect(known.has(check), `${id} ${check}`).toBe(true)
    }
  })

  it('follow the table, weigh what was answered, and ask for the check that parts the first two', () => {
    const before = rankCauses({ symptom: 'S02', family: 'H11', predicted: [], answers: [] })
    expect(before.causes[0]?.code).toBe('neck-too-big')
    expect(before.ask).not.toBeNull()
    const answers = [
      { check: 'pulling-neck', state: 'pulling' as const, grade: 'holds' as const },
      { check: 'pulling-neck', state: 'slack' as const, grade: 'holds' as const },
      { check: 'tug-at-tail-base', state: 'pulling' as const, grade: 'fails' as const, mm: 60 },
    ]
    const after = rankCauses({ symptom: 'S02', family: 'H11', predicted, answers })
    expect(after.causes[0]?.code).toBe('lost-weight')
    expect(after.causes.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1)
  })

  it('stop what chokes, and call slack at mid-back the normal look (7.3)', () => {
    expect(rankCauses({ symptom: 'S01', family: 'H11', predicted, answers: [] }).stop).toBe(true)
    for (const symptom of ['S65', 'S67'] as const) expect(rankCauses({ symptom, family: 'B2', predicted: [], answers: [] }).stop).toBe(true)
    const slack = rankCauses({ symptom: 'S08', family: 'H11', predicted, answers: [] })
    expect([slack.stop, slack.normal]).toEqual([false, true])
    expect(() => rankCauses({ symptom: 'S70', family: 'H11', predicted, answers: [] })).toThrow(RangeError)
  })

  it('an adjusting remedy names its strap and leads to the middle of what passes: minus shortens', () => {
    const walking = strapsFor('H01')
    const loose = predictChecks({
      form,
      family: 'H01',
      straps: { ...walking, girth: (walking.girth ?? 0) + 60 },
      pull: LEVEL,
      gauge: null,
      withoutSpread: true,
    })
    const [first] = rankCauses({ symptom: 'S27', family: 'H01', predicted: loose, answers: [] }).remedies
    expect(first).toMatchObject({ kind: 'adjust', strap: 'girth' })
    expect(first?.byMm).toBeLessThan(-30)
    expect(rankCauses({ symptom: 'S02', family: 'H21', predicted: [], answers: [] }).remedies[0]).toMatchObject({ kind: 'adjust', strap: 'girth' })
  })
})

describe('how far a strap may stand from where it holds', () => {
  const family = 'H01'
  const straps = strapsFor(family)
  const adjusters = Object.fromEntries(Object.entries(straps).map(([id, mm]) => [id, { leastMm: mm * 0.85, mostMm: mm * 1.15 }]))

  it('holds its own place, stays within what the strap goes, and ends where a check more would be missed', () => {
    const plan = settingPlan({ form, family, adjusters, gauge: null })
    const missed = (lengths: Record<string, number>) =>
      predictChecks({ form, family, straps: lengths, pull: LEVEL, gauge: null, withoutSpread: true }).filter(
        ({ mm, rangeMm }) => mm !== null && rangeMm !== null && (mm < rangeMm[0] - 15 || mm > rangeMm[1] + 15),
      ).length
    for (const [id, range] of Object.entries(plan.holds)) {
      const own = adjusters[id] as { leastMm: number; mostMm: number }
      const mm = plan.straps[id as keyof typeof plan.straps] ?? NaN
      expect([range[0] <= mm, range[1] >= mm, range[0] >= own.leastMm - 0.01, range[1] <= own.mostMm + 0.01]).toEqual([true, true, true, true])
    }
    expect(Object.keys(plan.holds).sort()).toEqual(Object.keys(adjusters).sort())
    // Far outside its bracket a girth strap misses more than at its end.
    const girth = plan.holds.girth as readonly [number, number]
    expect(missed({ ...plan.straps, girth: girth[1] + 120 })).toBeGreaterThan(missed({ ...plan.straps, girth: girth[1] }))
  })

  it('is nothing for straps that are sewn', () => {
    expect(holdingRanges({ form, family, adjusters: {}, gauge: null }, straps)).toEqual({})
  })
})
