import { describe, expect, it } from 'vitest'
import type { Piece, SizeTable } from '../model/index.ts'
import { NewChoice } from '../model/schemas.ts'
import { isOf, newestTables, offerKey, predictedOf, proposedChoice, rankAll, RULES_VERSION, type Offer, type SizedBody } from './index.ts'

const table = (over: Partial<SizeTable> = {}): SizeTable => ({
  id: 'trail', version: 3, name: 'Trail', maker: 'Test', family: 'H01', way: 'stock', unit: 'cm', between: null, lead: { minWeeks: 0, maxWeeks: 0 },
  sizes: [
    { label: 'S', bands: { M07: [500, 600], M14: [300, 380] } },
    { label: 'M', bands: { M07: [600, 700], M14: [380, 460] } },
  ],
  ...over,
}) // prettier-ignore
const mm = (value: number) => ({ mm: value, sigmaMm: 0.8 })
const body: SizedBody = { M07: mm(640), M14: mm(420) }
const offers = (tables: readonly SizeTable[], known: SizedBody, over: object = {}): Offer[] =>
  rankAll(tables, known, null, { families: ['H01'], views: [], ...over } as never)
const whole = (settled: object, predicted: object[] = []): unknown => ({ itemId: '01900000-0000-7000-8000-000000000001', ...settled, predicted, rulesVersion: RULES_VERSION, overruled: null, at: '2026-03-01T09:00:00Z', by: '' }) // prettier-ignore
const valid = (settled: object, predicted: object[] = []): boolean => NewChoice.safeParse(whole(settled, predicted)).success

describe('what is settled on, by its kind', () => {
  it('a size of a table: the table in its version, the label, and what the rules said of it', () => {
    const ranked = offers([table()], body)
    const proposed = proposedChoice(ranked, null, null, body)
    expect(proposed).toMatchObject({ settlement: { kind: 'size', tableId: 'trail', tableVersion: 3, labels: ['M'] }, follows: true, overrules: false })
    const predicted = predictedOf(proposed!.offer, proposed!.settlement!)
    expect(predicted.map((each) => [each.label, each.perMeasure.map((fit) => fit.measure).sort()])).toEqual([['M', ['M07', 'M14']]])
    expect(valid(proposed!.settlement!, predicted)).toBe(true)
    // Another size wants a reason.
    const other = proposedChoice(ranked, { offer: offerKey(ranked[0]!), label: 'S' }, null, body)
    expect(other).toMatchObject({ settlement: { labels: ['S'] }, overrules: true })
    // What the ticket holds is shown again.
    expect(proposedChoice(ranked, null, other!.settlement, body)?.size?.label).toBe('S')
  })

  it('a piece of ours: the piece itself', () => {
    const piece: Piece = { id: '01900000-0000-7000-8000-0000000000aa', createdAt: '2026-03-01T09:00:00Z', tag: 'H-4', family: 'H01', maker: 'Test', label: 'M', tableId: 'trail', flat: { M07: [590, 680] }, sliders: '', home: 'shop', holder: '', wearerId: null, state: 'good', wear: '', retired: null }
    const ranked = offers([], body, { pieces: [piece], labelTables: [table()] })
    const gear = ranked.find((offer) => offer.kind === 'gear')
    const proposed = gear && proposedChoice(ranked, { offer: offerKey(gear), label: gear.best?.label ?? 'H-4' }, null, body)
    expect(proposed?.settlement).toEqual({ kind: 'gear', pieceId: piece.id })
    expect(valid(proposed!.settlement!)).toBe(true)
    expect(isOf(proposed!.settlement!, gear!)).toBe(true)
    expect(offers([table()], body).some((offer) => isOf(proposed!.settlement!, offer))).toBe(false)
  }) // prettier-ignore

  it('boots paw by paw, each its own', () => {
    const boots = table({ id: 'boots', family: 'B2', sizes: [{ label: 'S', bands: { M32: [40, 50], M33: [50, 60] } }, { label: 'M', bands: { M32: [50, 60], M33: [60, 70] } }] }) // prettier-ignore
    const paws: SizedBody = Object.fromEntries([['front-left', 55, 65], ['front-right', 55, 65], ['rear-left', 45, 55], ['rear-right', 45, 55]].flatMap(([paw, w, l]) => {
      const [width, length] = String(paw).startsWith('rear') ? ['M34', 'M35'] : ['M32', 'M33']
      return [[`${width}/${paw}`, mm(Number(w))], [`${length}/${paw}`, mm(Number(l))]]
    })) // prettier-ignore
    const ranked = offers([boots], { ...paws, M32: mm(55), M33: mm(65) }, { families: ['B2'] })
    const settled = proposedChoice(ranked, null, null, paws)?.settlement
    expect(settled).toMatchObject({ kind: 'paws', labels: { 'front-left': 'M', 'front-right': 'M', 'rear-left': 'S', 'rear-right': 'S' } })
    expect(valid(settled!)).toBe(true)
  })

  it('a piece made to measure: by numbers that were read, and never by guesses alone', () => {
    const made = table({ id: 'made', way: 'made', sizes: [{ label: 'To measure', bands: { M07: [300, 1200], M14: [150, 800] } }] })
    const guessed: SizedBody = { M07: { ...mm(640), guess: true }, M14: { ...mm(420), guess: true } }
    expect(proposedChoice(offers([made], guessed), null, null, guessed)?.settlement).toBeNull()
    const settled = proposedChoice(offers([made], body), null, null, { ...body, M14: { ...mm(420), guess: true } })?.settlement
    expect(settled).toMatchObject({ kind: 'made', numbers: { M07: 640 } })
    expect(Object.keys((settled as { numbers: object }).numbers)).toEqual(['M07'])
    expect(valid(settled!)).toBe(true)
  })

  it('U15 names no size by itself where the advice names none, and takes one pointed at for an overruling', () => {
    const far: SizedBody = { M07: mm(900), M14: mm(700) }
    const ranked = offers([table()], far)
    expect(proposedChoice(ranked, null, null, far)).toMatchObject({ settlement: null, labels: [], overrules: false })
    expect(proposedChoice(ranked, { offer: offerKey(ranked[0]!), label: 'M' }, null, far)).toMatchObject({ settlement: { labels: ['M'] }, overrules: true })
  })

  it('nothing where nothing is offered', () => {
    expect(proposedChoice([], null, null, body)).toBeNull()
  })
})

it('the newest version of each table stands, in the order in which they first come', () => {
  const list = [table({ id: 'b', version: 1 }), table({ id: 'a', version: 2 }), table({ id: 'b', version: 4 }), table({ id: 'a', version: 1 })]
  expect(newestTables(list).map((each) => [each.id, each.version])).toEqual([['b', 4], ['a', 2]]) // prettier-ignore
})
