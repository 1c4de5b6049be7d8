import { inventedPaw, pawReading, type Form, type PawReading, type SizedBody, type Tracing } from '@merry-tailor/core'

export const PAWS = ['front-left', 'front-right', 'rear-left', 'rear-right'] as const
export type PawId = (typeof PAWS)[number]
export const isHind = (paw: PawId): boolean => paw.startsWith('rear')
export const widthOf = (paw: PawId): 'M32' | 'M34' => (isHind(paw) ? 'M34' : 'M32')
export const lengthOf = (paw: PawId): 'M33' | 'M35' => (isHind(paw) ? 'M35' : 'M33')

/** Which of a paw's two tapes is in hand. */
export type TapeId = 'W' | 'L'

export interface PawNow {
  paw: PawId
  /** The newest of its tracings, and all of them. */
  tracing: Tracing | null
  tracings: readonly Tracing[]
  /** Outline to draw, mm, its middle about the origin: traced, or of the usual shape. */
  outline: [number, number][]
  axisRad: number
  width: { mm: number; sigmaMm: number; from: 'read' | 'guess' } | null
  length: { mm: number; sigmaMm: number; from: 'read' | 'guess' } | null
  atWindowEnd: boolean
}

/** What a tracing reads; `null` of an outline that encloses nothing. */
export function readOf(tracing: Tracing): PawReading | null {
  try {
    return pawReading(tracing, { rmsMm: tracing.rmsMm ?? 0 }, { pencilMm: tracing.pencilMm, lineRead: tracing.lineRead, toesRad: tracing.toesRad })
  } catch {
    return null
  }
}

export const centred = (points: readonly (readonly [number, number])[]): [number, number][] => {
  const middle = (k: 0 | 1): number => (Math.min(...points.map((p) => p[k])) + Math.max(...points.map((p) => p[k]))) / 2
  const [mx, my] = [middle(0), middle(1)]
  return points.map(([x, y]) => [x - mx, y - my])
}

/** A paw as it stands: by its newest tracing, else by its tapes, else as its build has it. */
export function pawNow(paw: PawId, tracings: readonly Tracing[], body: SizedBody, form: Form): PawNow {
  const own = tracings.filter((each) => each.paw === paw && !each.removed)
  const tracing = own[0] ?? null
  const traced = tracing && readOf(tracing)
  const known = (id: string): PawNow['width'] => {
    const read = body[`${id}/${paw}`]
    if (read?.mm != null && !read.guess) return { mm: read.mm, sigmaMm: read.sigmaMm ?? 2, from: 'read' }
    const guess = form.measures[id]
    return guess ? { mm: guess.mm, sigmaMm: guess.sigmaMm, from: 'guess' } : null
  }
  const [width, length] = [known(widthOf(paw)), known(lengthOf(paw))]
  return {
    paw,
    tracing,
    tracings: own,
    outline: tracing ? centred(tracing.points) : inventedPaw(width?.mm ?? 55, length?.mm ?? 65),
    axisRad: traced?.axisRad ?? -Math.PI / 2,
    width,
    length,
    atWindowEnd: traced?.atWindowEnd ?? false,
  }
}
