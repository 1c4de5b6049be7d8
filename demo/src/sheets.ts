import { flattened, inventedPaw, renderedSheet, tracePaws, type NewTracing, type Picture } from '@merry-tailor/core'
import { encodePng, Image } from 'image-js'
import type { SheetStory } from './paws.ts'

/** How far beside the sheet's middle a paw of a pair is drawn, mm. */
const BESIDE = 37
const SHOT = { width: 720, height: 960, sideRad: 0.05, lens: 0.02, noise: 0.008, blurPx: 0.7, pencil: 0.6, pencilMm: 0.8, fill: 0.6 }

/** A paw drawn round from outside: the pencil runs its own distance off it. */
const drawn = (widthMm: number, lengthMm: number, lean: number, off: number, dx: number): [number, number][] =>
  inventedPaw(widthMm + 2 * off, lengthMm + 2 * off, lean).map(([x, y]) => [x + dx, y + 4])

const pngOf = ({ width, height, data }: Picture): Uint8Array =>
  encodePng(new Image(width, height, { data: new Uint8Array(data.buffer, data.byteOffset, data.length), colorModel: 'RGBA' }))

type Drawn = Omit<NewTracing, 'photoId' | 'at' | 'by'>

/** What a sheet gives: a tracing for each paw on it, and the flattened picture where it was photographed. */
export function tracedStory({ dog, paws, pencilMm, nails, shot }: SheetStory, seed: number): { png: Uint8Array | null; tracings: Drawn[] } {
  const outlines = paws.map(({ widthMm, lengthMm, lean }, i) => drawn(widthMm, lengthMm, lean, pencilMm, i === 0 ? -BESIDE : BESIDE))
  const kept = (i: number, points: readonly (readonly [number, number])[], closedMm: number, frame: Pick<Drawn, 'rmsMm' | 'view'>): Drawn => ({
    paw: paws[i]?.paw ?? 'front-left',
    points: points.map(([x, y]): [number, number] => [Math.round(x * 100) / 100, Math.round(y * 100) / 100]),
    toesRad: -Math.PI / 2,
    closedMm,
    pencilMm,
    lineRead: true,
    ...frame,
    nails,
    edited: false,
  })
  if (!shot) return { png: null, tracings: outlines.map((points, i) => kept(i, points, 0, { rmsMm: 0.08, view: null })) }
  const { turn: turnRad, tilt: tiltRad, light } = shot
  const picture = renderedSheet(
    outlines.map((points) => ({ points })),
    { ...SHOT, turnRad, tiltRad, light },
    seed,
  )
  const traced = tracePaws(picture)
  if (!traced.ok || traced.paws.length !== paws.length)
    throw new Error(`the sheet of ${dog} was not traced: ${traced.ok ? traced.paws.length : traced.problem}`)
  const { view, rmsMm } = traced.frame
  // The left of the pair lies left.
  const inOrder = [...traced.paws].sort((a, b) => (a.points[0]?.[0] ?? 0) - (b.points[0]?.[0] ?? 0))
  return {
    png: pngOf(flattened(picture, view)),
    tracings: inOrder.map(({ points, closedMm }, i) => kept(i, points, closedMm, { rmsMm, view: { ...view, h: [...view.h] } })),
  }
}
