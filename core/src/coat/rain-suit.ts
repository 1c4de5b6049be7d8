import { lengthAlong } from '../form/index.ts'
import { flatArea, type PatternPiece, type PatternPoint, type Seam } from '../pattern/index.ts'
import { clothOver, columnsThrough, evenCloth, fallsTo0, GIRTH, halfOf, HIP, NECK, TAIL, upTo } from './cloth-over.ts'
import type { Draft, Drafting } from './draft-type.ts'
import { garmentCheck, reaches } from './garment-check.ts'
import { PULLS_ROOMY, SHEATH_MM, strip } from './garment-rules.ts'
import { edgesOn, layOut, strainedCells } from './laid-out.ts'
import { sleevePiece } from './sweater.ts'
import { wornBand, wornLeg, wornRing } from './worn-parts.ts'

const ROWS = 12
const PER_UNIT = 2.5
/** A leg of the suit is this much wider than the leg, mm; a hind leg than a foreleg, as a share. Ours, from memory. */
const LEG_ROOM_MM = 80
const HIND_TO_FORE = 1.35
/** A leg ends this far over the foot, mm (handbook 7.2: room under the foot). Ours. */
const FOOT_ROOM_MM = 15
const TUNNEL_MM = 30

/** A full rain suit with cords (handbook 9.5): half shells, legs, collar, flap, tunnels. A first draft; none was sewn. */
export function rainSuit({ form, male, plan, numbers, coatMm, mm, sigma }: Drafting): Draft {
  const { ease } = plan
  const { seam, hem } = plan.allowancesMm
  const cloth = clothOver(form, { m20Mm: mm('M20'), m21Mm: mm('M21'), m31Mm: mm('M31'), coatMm, easeMm: ease.girthMm })
  const keel = form.landmarks.L02?.[0] ?? cloth.section(GIRTH).ux
  const sheathMm = numbers.M30?.mm ?? form.measures.M30?.mm ?? 0
  // Under the belly the suit ends ahead of the sheath; a bitch's goes on to the flank.
  const end = male ? fallsTo0((s) => cloth.section(s).ux - (keel - Math.max(20, sheathMm - SHEATH_MM)), cloth.legBack + 0.3, HIP) : 8.6
  const { at, index } = columnsThrough([NECK, cloth.legFront, GIRTH, end, ...(end < HIP ? [HIP] : []), TAIL], PER_UNIT)
  const iEnd = index.get(end) as number
  const last = at.length - 1
  const grid = at.map((s) => {
    const half = halfOf(cloth.roof(s))
    const open = s <= end ? 1 : 1 - 0.45 * Math.min(1, (s - end) / Math.max(0.5, TAIL - end - 0.5))
    return evenCloth(upTo(half, lengthAlong(half) * open), ROWS)
  })
  const neckPart = Math.max(0, (form.measures.M16?.mm ?? 0) - (form.measures.M14?.mm ?? 0))
  const backMm = Math.max(40, mm('M14') + neckPart + ease.lengthMm)
  const laid = layOut(grid, { hold: [{ from: [0, 0], to: [last, 0], mm: backMm }, { from: [0, ROWS], to: [iEnd, ROWS] }] }) // prettier-ignore
  const legMm = mm('M31') + LEG_ROOM_MM
  const hindMm = mm('M31') * HIND_TO_FORE + LEG_ROOM_MM
  const near = (s: number): number => at.reduce((best, each, i) => (Math.abs(each - s) < Math.abs((at[best] as number) - s) ? i : best), 0)
  const hole = (i: number, j: number, around: number): PatternPoint[] => {
    const [x, y] = laid.points[i]?.[j] as PatternPoint
    const r = around / (2 * Math.PI)
    return Array.from({ length: 37 }, (_, k): PatternPoint => [x + r * Math.cos((k * Math.PI) / 18), y + r * Math.sin((k * Math.PI) / 18)])
  }
  const { edges, worn } = edgesOn(laid, 'shell', [
    ['neck', 'seam', seam, 'column', 0, 0, ROWS],
    ['belly', 'seam', seam, 'row', ROWS, 0, iEnd],
    ['hem', 'hem', hem, 'row', ROWS, iEnd, last],
    ['tail', 'hem', hem, 'column', last, ROWS, 0],
    ['centre-back', 'seam', seam, 'row', 0, last, 0],
  ])
  const shell: PatternPiece = {
    id: 'shell', name: 'Half shell', count: 2, mirrored: true, fold: null, edges, darts: [], notches: [{ edge: 'centre-back', share: 0.5, count: 1 }],
    grain: [laid.points[near(7)]?.[4] as PatternPoint, laid.points[near(4)]?.[4] as PatternPoint],
    lines: [{ id: 'leg-front', points: hole(near((cloth.legFront + GIRTH) / 2), 9, legMm) }, { id: 'leg-hind', points: hole(near(HIP), 8, hindMm) }], marks: [],
  } // prettier-ignore
  const cuffMm = mm('M36') + 50
  // A hind leg nobody taped is the form's, with room under the foot.
  const hindLong = numbers.M27?.from === 'taken' ? numbers.M27.mm : (numbers.M27?.mm ?? 0) + FOOT_ROOM_MM
  const legs = [
    sleevePiece('leg-front', 'Front leg', legMm, cuffMm, mm('M26'), { seam, hem }),
    sleevePiece('leg-hind', 'Hind leg', hindMm, cuffMm * 1.1, hindLong, { seam, hem }),
  ]
  const part = (id: string, name: string, long: number, wide: number, count = 1) => strip({ id, name, count }, long, wide, seam)
  const collarMm = mm('M02') + ease.neckMm
  const bellyRing = cloth.ring(end)
  const parts = [
    part('collar', 'Collar', collarMm, 2 * Math.max(40, 0.12 * mm('M02'))),
    part('flap', 'Guard flap', backMm * 0.8, 70),
    part('tunnel-chest', 'Chest tunnel', cloth.ring(NECK + 0.6) * 0.5, TUNNEL_MM),
    part('tunnel-belly', 'Belly tunnel', bellyRing * 0.7, TUNNEL_MM),
    part('tunnel-leg', 'Leg tunnel', cuffMm, TUNNEL_MM, 4),
    part('tunnel-collar', 'Collar tunnel', collarMm, TUNNEL_MM),
  ]
  const seams: Seam[] = [
    { id: 'back', a: [['shell', 'centre-back']], b: [['shell', 'centre-back']], easeMm: 0 },
    { id: 'belly', a: [['shell', 'belly']], b: [['shell', 'belly']], easeMm: 0 },
    ...legs.map(({ id }): Seam => ({ id, a: [[id, 'seam-front']], b: [[id, 'seam-back']], easeMm: 0 })),
  ]
  const offToes = mm('M26')
  return {
    pieces: [shell, ...legs, ...parts].filter((piece) => Math.abs(flatArea(piece.edges.flatMap(({ points }) => points))) > 1),
    seams,
    openings: [{ id: 'leg', mm: legMm, needsMm: mm('M31') }, { id: 'leg-hind', mm: hindMm, needsMm: mm('M31') }, { id: 'neck', mm: collarMm, needsMm: mm('M02') }],
    checks: [
      garmentCheck('leg-off-toes', numbers.M26?.from === 'taken' ? 'holds' : 'doubt', {
        mm: offToes, needsMm: form.measures.M25?.mm ?? offToes, sigmaMm: sigma('M26'), symptom: 'S56', at: { piece: 'leg-front', edge: 'cuff' },
      }),
      garmentCheck('leg-opening', reaches(legMm, mm('M31') + 20, sigma('M31')), {
        mm: legMm, needsMm: mm('M31') + 20, sigmaMm: sigma('M31'), symptom: 'S53', at: { piece: 'leg-front', edge: 'cap' },
      }),
      garmentCheck('passes-head', reaches(collarMm, mm('M02'), sigma('M02')), {
        mm: collarMm, needsMm: mm('M02'), sigmaMm: sigma('M02'), symptom: 'S61', at: { piece: 'collar', edge: 'end' },
      }),
      ...(male ? [garmentCheck('sheath', numbers.M30?.from === 'taken' ? 'holds' : 'doubt', {
        mm: SHEATH_MM, needsMm: SHEATH_MM, sigmaMm: sigma('M30'), symptom: 'S55', at: { piece: 'shell', edge: 'belly' },
      })] : []),
    ],
    buttonholes: [],
    worn: [
      ...worn,
      ...wornLeg(form, 'front', { piece: 'leg-front', topMm: legMm, cuffMm, longMm: mm('M26') }),
      ...wornLeg(form, 'hind', { piece: 'leg-hind', topMm: hindMm, cuffMm: cuffMm * 1.1, longMm: hindLong }),
      ...wornRing(form.sections.collar, 30, 'collar', ['long-a', 'long-b']),
      ...wornBand(cloth, NECK + 0.6, TUNNEL_MM, 'tunnel-chest'),
      ...wornBand(cloth, end, TUNNEL_MM, 'tunnel-belly'),
      ...wornRing(form.sections.collar, 12, 'tunnel-collar', ['long-a', 'long-b']),
    ],
    cuts: [],
    strained: strainedCells('shell', laid, PULLS_ROOMY),
  } // prettier-ignore
}

/** The tunnels of a suit and the rings they draw in to, for `cordsFor`. */
export function suitTunnels(pieces: readonly PatternPiece[], ring: (measure: string) => number | null) {
  const flat = (id: string): number => {
    const edge = pieces.find((piece) => piece.id === id)?.edges.find(({ id: name }) => name === 'long-a')
    const [a, b] = [edge?.points[0], edge?.points.at(-1)]
    return a && b ? Math.hypot(b[0] - a[0], b[1] - a[1]) : 0
  }
  const rings = { belly: ring('M21'), collar: ring('M02'), leg: ring('M36'), chest: ring('M20') }
  return ([
    ['chest', flat('tunnel-chest'), rings.chest], ['belly', flat('tunnel-belly'), rings.belly === null ? null : rings.belly * 0.7],
    ['leg-front-left', flat('tunnel-leg'), rings.leg], ['leg-front-right', flat('tunnel-leg'), rings.leg], ['leg-hind-left', flat('tunnel-leg'), rings.leg], ['leg-hind-right', flat('tunnel-leg'), rings.leg],
    ['collar', flat('tunnel-collar'), rings.collar],
  ] as const).flatMap(([place, flatMm, ringMm]) => (flatMm > 0 && ringMm !== null && ringMm > 0 ? [{ place, flatMm, ringMm }] : [])) // prettier-ignore
}
