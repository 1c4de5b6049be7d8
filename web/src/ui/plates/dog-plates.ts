import type { Figure, FigurePart } from '@merry-tailor/core'
import type { Point } from './geometry'

export interface Plate {
  name: string
  points: Point[]
  /** Which reading's part vouches for this shape; plates without one follow the build and stay plain. */
  part?: FigurePart
  far?: true
}

/** Points on the side plate that tapes run between. */
export type PlateMark =
  | 'withers'
  | 'breastbone'
  | 'underLegs'
  | 'sternumEnd'
  | 'lastRib'
  | 'tailBase'
  | 'girthTop'
  | 'girthBottom'
  | 'spine'
  | 'collarTop'
  | 'collarBottom'
  | 'neckBaseTop'
  | 'neckBaseBottom'
  | 'earBase'
  | 'waistTop'
  | 'waistBottom'
  | 'bandTop'
  | 'bandBottom'
  | 'ribTop'
  | 'ribBottom'
  | 'sternumTop'
  | 'sheath'
  | 'dropTop'
  | 'dropEnd'
  | 'elbow'
  | 'elbowFloor'
  | 'wrist'
  | 'armhole'
  | 'shoulder'
  | 'shoulderFloor'
  | 'skull'
  | 'skullFloor'
  | 'earTip'
  | 'earTipFloor'
  | 'nose'
  | 'withersFloor'
  | 'sideRing'
  | 'bar'
  | 'hitch'
  | 'hitchFloor'

export interface DogPlates {
  plates: Plate[]
  rivets: Point[]
  eye: Point
  nose: Point[]
  smile: Point[]
  /** Landmarks of the tapes in drawing space. */
  marks: Record<PlateMark, Point>
  floorY: number
  box: { x: number; y: number; width: number; height: number }
}

/*
 * The pattern in one space: withers at 0,0; x forward, y down; the back is 100 long, the chest 53 deep, the floor at
 * 98. Each list is one paper plate. The warp below stretches it to the figure.
 */
type Pairs = readonly (readonly [number, number])[]

const TAIL: Pairs = [
  [-96, 3],
  [-103, 7],
  [-110, 18],
  [-116, 33],
  [-124, 46],
  [-133, 52],
  [-128, 55],
  [-118, 50],
  [-109, 37],
  [-103, 23],
  [-98, 13],
]
const HAUNCH: Pairs = [
  [-80, 5.5],
  [-90, 4.5],
  [-98, 8],
  [-103, 19],
  [-103.5, 33],
  [-101, 47],
  [-96, 58],
  [-88, 66],
  [-78, 67],
  [-68, 63],
  [-62, 55],
  [-64, 43],
  [-69, 31],
  [-75, 18],
]
const SHIN: Pairs = [
  [-66, 54],
  [-70, 64],
  [-79, 71],
  [-88, 77],
  [-96, 81],
  [-103, 79],
  [-105, 71],
  [-102, 63],
  [-97, 54],
  [-84, 50],
]
const HOCK: Pairs = [
  [-105, 70],
  [-104.5, 79],
  [-101, 86],
  [-100, 92],
  [-91.5, 92],
  [-92, 85],
  [-93, 78],
  [-95, 71],
  [-100, 68],
]
const HIND_PAW: Pairs = [
  [-101, 91],
  [-102.5, 95],
  [-101, 98],
  [-86, 98],
  [-82.5, 96.5],
  [-84, 93],
  [-89, 90.5],
  [-96, 90],
]
const LOIN: Pairs = [
  [-50, 3.4],
  [-65, 3.4],
  [-80, 5.2],
  [-86, 14],
  [-84, 32],
  [-74, 40],
  [-66, 41],
  [-57, 43],
  [-45, 47],
  [-34, 50],
  [-30, 40],
  [-42, 20],
]
const RIBS: Pairs = [
  [0, -1],
  [-12, 1.6],
  [-26, 3],
  [-40, 3.4],
  [-50, 3.4],
  [-48.5, 14],
  [-44, 27],
  [-36, 41],
  [-27, 51],
  [-15, 53],
  [-5, 53.2],
  [6, 51],
  [14, 45.5],
  [20.5, 37],
  [23, 28],
  [21, 20],
  [14, 10],
  [7, 3.5],
]
const NECK: Pairs = [
  [-3, -0.5],
  [5, -7],
  [11, -17],
  [17, -27],
  [26, -30],
  [33, -20],
  [33, -8],
  [29.5, 2],
  [27.5, 13],
  [25.5, 22],
  [23, 29],
  [20.5, 20],
  [13.5, 10],
  [6, 4],
]
const HEAD: Pairs = [
  [17, -26],
  [21, -32],
  [28, -35.5],
  [35.5, -34.5],
  [41, -30.5],
  [45, -27],
  [53, -24.5],
  [60.5, -22],
  [63.5, -19],
  [62.5, -14.5],
  [58, -11.5],
  [50, -9.5],
  [42, -7],
  [34, -5.5],
  [26.5, -8],
  [20, -15],
]
const EAR_ERECT: Pairs = [
  [21.5, -31],
  [20, -39],
  [22, -47.5],
  [27.5, -42],
  [32, -34.5],
  [27, -30.5],
]
const EAR_DROP: Pairs = [
  [20.5, -33],
  [16, -27],
  [13.5, -17],
  [15, -9.5],
  [20, -9],
  [24.5, -15],
  [28, -25],
  [27, -33],
]
const BLADE: Pairs = [
  [0.5, 4],
  [5.5, 5.5],
  [11.5, 14],
  [16.5, 24],
  [19, 33],
  [15.5, 38],
  [9.5, 34],
  [3.5, 24],
  [-0.5, 12],
]
const ARM: Pairs = [
  [16.5, 30],
  [20, 36],
  [14.5, 45],
  [8, 53],
  [1.5, 57],
  [-3, 53],
  [1, 45],
  [8.5, 36],
]
const FOREARM: Pairs = [
  [-3.5, 49],
  [-2.6, 57],
  [-0.6, 66],
  [0.2, 76],
  [10.2, 76],
  [11, 66],
  [12.2, 57],
  [13, 48],
  [5, 45.5],
]
const PASTERN: Pairs = [
  [0, 75],
  [0.4, 84],
  [1.4, 92.5],
  [11, 92.5],
  [10.4, 84],
  [10.4, 75],
  [5, 73.6],
]
const FORE_PAW: Pairs = [
  [0.4, 91],
  [-0.8, 95],
  [0.6, 98],
  [17.5, 98],
  [20, 96.4],
  [18.4, 93],
  [13, 90.6],
  [6, 90],
]

const CHEST = 53
const FLOOR = 98
const HEAD_LENGTH = 46
/** Where the head hangs on: the top of the neck. */
const POLL = { x: 12, y: -10 }

/**
 * Cuts the plates of one figure, in millimetres, y down from the withers. Numbers come from core; only the shapes live
 * here. Back length stretches all behind the withers; chest depth all between withers and underline; leg length all
 * below it; the breastbone's place the chest front; the waist share the tuck-up; the head keeps its own scale.
 */
export function cutPlates(figure: Figure): DogPlates {
  const back = figure.backMm / 100
  const depth = figure.depthMm / CHEST
  const leg = Math.max(0.12, (figure.withers.y - figure.depthMm) / (FLOOR - CHEST))
  const ahead = figure.breastbone.x / 23
  const headScale = figure.headMm / HEAD_LENGTH
  const breastY = figure.withers.y - figure.breastbone.y

  const bodyY = (y: number): number => (y <= CHEST ? y * (y < 0 ? (depth + headScale) / 2 : depth) : figure.depthMm + (y - CHEST) * leg)
  const body = ([x, y]: readonly [number, number]): Point => {
    const px = x >= 0 ? x * (y > CHEST ? (ahead + back) / 2 : ahead) : x * back
    const tuck =
      x < -27 && x > -88 && y > 24 && y < 60 ? Math.sin(((x + 27) / -61) * Math.PI) * (0.66 - figure.waistShare) * 24 * Math.min(1, (y - 24) / 12) : 0
    return { x: px, y: bodyY(y - tuck) }
  }
  const head = ([x, y]: readonly [number, number]): Point => {
    const muzzle = figure.flatFace && x > 42 ? 42 + (x - 42) * 0.42 : x
    const poll = { x: POLL.x * ahead, y: bodyY(POLL.y) }
    return { x: poll.x + (muzzle - POLL.x) * headScale, y: poll.y + (y - POLL.y) * headScale }
  }
  /** The neck hangs between both: its low points follow the body, its high points the head. */
  const neck = (pair: readonly [number, number]): Point => {
    const share = Math.min(1, Math.max(0, (6 - pair[1]) / 24))
    const [low, high] = [body(pair), head(pair)]
    return { x: low.x + (high.x - low.x) * share, y: low.y + (high.y - low.y) * share }
  }
  const legs =
    (dx: number) =>
    ([x, y]: readonly [number, number]): Point => {
      // Leg plates keep their width in proportion to the body, whatever the leg's length.
      const anchor = x < -40 ? -90 : 5
      const girth = (back + depth) / 2
      const shift = figure.build === 'toy' ? 1.1 : 1
      return { x: anchor * back + (x - anchor) * girth * shift + dx * back, y: bodyY(y) }
    }
  const near = legs(0)
  const farHind = legs(17)
  const farFore = legs(-13)
  const cut = (name: string, pairs: Pairs, to: (pair: readonly [number, number]) => Point, more: Partial<Plate> = {}): Plate => ({
    name,
    points: pairs.map(to),
    ...more,
  })

  const tail: Pairs = TAIL.map(
    ([x, y]) => [-97 + (x + 97) * (figure.tailMm / figure.backMm / 0.62), y <= 3 ? y : 3 + (y - 3) * (figure.tailMm / figure.backMm / 0.62)] as const,
  )
  const plates: Plate[] = [
    cut('far shin', SHIN, farHind, { far: true }),
    cut('far hock', HOCK, farHind, { far: true }),
    cut('far hind paw', HIND_PAW, farHind, { far: true }),
    cut('far forearm', FOREARM, farFore, { far: true }),
    cut('far pastern', PASTERN, farFore, { far: true }),
    cut('far fore paw', FORE_PAW, farFore, { far: true }),
    cut('tail', tail, body),
    cut('neck', NECK, neck, { part: 'neck' }),
    cut('loin', LOIN, body, { part: 'loin' }),
    cut('ribs', RIBS, body, { part: 'ribs' }),
    cut('shin', SHIN, near),
    cut('hock', HOCK, near),
    cut('hind paw', HIND_PAW, near),
    cut('haunch', HAUNCH, body, { part: 'haunch' }),
    cut('head', HEAD, head),
    cut('ear', figure.ears === 'erect' ? EAR_ERECT : EAR_DROP, head),
    cut('forearm', FOREARM, near),
    cut('pastern', PASTERN, near),
    cut('fore paw', FORE_PAW, near),
    cut('arm', ARM, body),
    cut('shoulder blade', BLADE, body, { part: 'chest' }),
  ]

  const fromFigure = (point: Point): Point => ({ x: point.x, y: figure.withers.y - point.y })
  const all = plates.flatMap((plate) => plate.points)
  const [xs, ys] = [all.map((point) => point.x), all.map((point) => point.y)]
  const floorY = bodyY(FLOOR)
  const box = { x: Math.min(...xs), y: Math.min(...ys), width: Math.max(...xs) - Math.min(...xs), height: floorY - Math.min(...ys) }
  return {
    plates,
    rivets: [body([-90, 20]), near([-71, 58]), near([-99, 74]), body([15.5, 33]), near([4, 52]), head([25, -19])],
    eye: head([44.5, -24]),
    nose: (
      [
        [59.5, -22.6],
        [63.6, -20.6],
        [64.4, -17.2],
        [61, -16.6],
        [59, -19.4],
      ] as Pairs
    ).map(head),
    smile: (
      [
        [60.5, -12.6],
        [55.5, -13],
        [51.5, -15.2],
      ] as Pairs
    ).map(head),
    marks: {
      withers: { x: 0, y: 0 },
      breastbone: { x: figure.breastbone.x, y: breastY },
      underLegs: fromFigure(figure.underLegs),
      sternumEnd: fromFigure(figure.sternumEnd),
      lastRib: fromFigure(figure.lastRib),
      tailBase: fromFigure(figure.tailBase),
      girthTop: body([-14, 1.6]),
      girthBottom: body([-14, 53]),
      spine: body([-50, 3]),
      collarTop: body([12, -19]),
      collarBottom: body([31.5, -4]),
      neckBaseTop: body([3.5, -5]),
      neckBaseBottom: body([26.5, 18]),
      earBase: head([21.5, -27]),
      waistTop: body([-68, 3.6]),
      waistBottom: body([-68, 41]),
      bandTop: body([-55, 3.4]),
      bandBottom: body([-55, 43.5]),
      ribTop: body([-47, 3.4]),
      ribBottom: body([-42, 47.5]),
      sternumTop: { x: figure.sternumEnd.x, y: bodyY(2.6) },
      sheath: body([-60, 42]),
      dropTop: body([-30, 3]),
      dropEnd: body([-30, 49]),
      elbow: body([-2.5, 50]),
      elbowFloor: { x: body([-7, 98]).x, y: floorY },
      wrist: near([5, 75]),
      armhole: body([13, 48]),
      shoulder: body([19.5, 33]),
      shoulderFloor: { x: body([22, 98]).x, y: floorY },
      skull: head([29, -35.5]),
      skullFloor: { x: head([29, -35.5]).x, y: floorY },
      earTip: head([22, -47.5]),
      earTipFloor: { x: head([22, -47.5]).x, y: floorY },
      nose: head([64.4, -18.6]),
      withersFloor: { x: 0, y: floorY },
      sideRing: body([-8, 30]),
      bar: body([-128, 62]),
      hitch: { x: body([-126, 0]).x, y: bodyY(58) },
      hitchFloor: { x: body([-126, 0]).x, y: floorY },
    },
    floorY,
    box,
  }
}

/** The line of each tape over the side plate, from its first landmark to its last. */
export function tapeLine(measure: string, { marks }: DogPlates): { points: Point[]; hidden?: Point[] } | null {
  const { withers, breastbone, underLegs, sternumEnd, lastRib, tailBase, girthTop, girthBottom, spine } = marks
  const bow = (a: Point, b: Point, by: number): Point => ({ x: (a.x + b.x) / 2 - (b.y - a.y) * by, y: (a.y + b.y) / 2 + (b.x - a.x) * by })
  const ring = (top: PlateMark, bottom: PlateMark, by = 0.1): { points: Point[] } => ({
    points: [marks[top], bow(marks[top], marks[bottom], by), marks[bottom]],
  })
  const straight = (from: PlateMark, to: PlateMark): { points: Point[] } => ({ points: [marks[from], marks[to]] })
  switch (measure) {
    case 'M01':
      return { points: [withers, bow(withers, breastbone, 0.16), breastbone] }
    case 'M06':
      return { points: [breastbone, bow(breastbone, underLegs, -0.16), underLegs, sternumEnd] }
    case 'M07':
      return { points: [girthTop, bow(girthTop, girthBottom, 0.1), girthBottom] }
    case 'M10':
      return { points: [breastbone, bow(breastbone, underLegs, -0.16), underLegs, bow(underLegs, lastRib, -0.03), lastRib] }
    case 'M11':
      return { points: [withers, bow(withers, lastRib, -0.08), lastRib] }
    case 'M12':
      return { points: [lastRib, bow(lastRib, tailBase, 0.05), tailBase] }
    case 'M13':
      return { points: [breastbone, bow(breastbone, underLegs, -0.16), underLegs, lastRib, tailBase] }
    case 'M14':
      return { points: [withers, spine, tailBase] }
    case 'M02':
      return ring('collarTop', 'collarBottom', 0.14)
    case 'M03':
      return ring('neckBaseTop', 'neckBaseBottom', 0.14)
    case 'M05':
      return { points: [marks.neckBaseTop, bow(marks.neckBaseTop, marks.earBase, 0.08), marks.earBase] }
    case 'M08':
      return { points: [marks.sternumTop, bow(marks.sternumTop, sternumEnd, 0.1), sternumEnd] }
    case 'M09':
      return { points: [underLegs, bow(underLegs, withers, -0.14), withers] }
    case 'M15':
      return { points: [marks.collarTop, withers, spine, tailBase] }
    case 'M16':
      return { points: [marks.neckBaseTop, withers, spine, tailBase] }
    case 'M17':
      return ring('girthTop', 'elbow', 0.06)
    case 'M18':
      return ring('dropTop', 'dropEnd', 0.08)
    case 'M21':
      return ring('bandTop', 'bandBottom')
    case 'M22':
      return ring('waistTop', 'waistBottom')
    case 'M23':
      return { points: [breastbone, bow(breastbone, underLegs, -0.16), underLegs, sternumEnd, marks.bandBottom] }
    case 'M24':
      return { points: [underLegs, sternumEnd, marks.ribBottom, marks.bandBottom] }
    case 'M25':
      return straight('elbow', 'elbowFloor')
    case 'M26':
    case 'M28':
      return straight('elbow', 'wrist')
    case 'M29':
      return ring('ribTop', 'ribBottom')
    case 'M30':
      return { points: [sternumEnd, marks.ribBottom, marks.sheath] }
    case 'M31':
      return ring('elbow', 'armhole', -0.14)
    case 'M39':
      return straight('skullFloor', 'skull')
    case 'M40':
      return straight('earTipFloor', 'earTip')
    case 'M42':
      return straight('nose', 'tailBase')
    case 'M43':
      return straight('elbowFloor', 'elbow')
    case 'M45':
      return straight('withersFloor', 'withers')
    case 'M46':
      return straight('shoulderFloor', 'shoulder')
    case 'M47':
      return straight('sideRing', 'bar')
    case 'M48':
      return straight('hitchFloor', 'hitch')
    default:
      return null
  }
}
