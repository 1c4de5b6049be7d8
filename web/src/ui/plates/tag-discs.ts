import type { Grade, Point3 } from '@merry-tailor/core'
import type { Point } from './geometry'

/** A numbered place on the dog: a check, and how it stands. */
export interface PlateTag {
  n: number
  at: Point3
  grade: Grade
  /** Seen on the dog: the disc is solid; foretold alone: hollow. */
  seen?: boolean
}

export interface PlacedTag extends PlateTag {
  from: Point
  disc: Point
}

/** Where discs may stand, px. */
export interface DiscBounds {
  left: number
  top: number
  right: number
  bottom: number
}

/** Discs stand off their places, away from the middle, and off each other. */
export function placed(tags: readonly PlateTag[], on: (p: Point3) => Point, { left, top, right, bottom }: DiscBounds): PlacedTag[] {
  const middle = { x: (left + right) / 2, y: top + (bottom - top) * 0.52 }
  const out: PlacedTag[] = []
  for (const tag of tags) {
    const from = on(tag.at)
    const away = Math.atan2(from.y - middle.y, from.x - middle.x)
    let disc = { x: from.x, y: from.y }
    for (let step = 0; step < 24; step++) {
      const turn = away + (step % 2 === 0 ? 1 : -1) * Math.ceil(step / 2) * 0.35
      const reach = 34 + 6 * Math.floor(step / 6)
      disc = {
        x: Math.min(right - 14, Math.max(left + 14, from.x + Math.cos(turn) * reach)),
        y: Math.min(bottom - 14, Math.max(top + 14, from.y + Math.sin(turn) * reach)),
      }
      if (out.every((other) => Math.hypot(other.disc.x - disc.x, other.disc.y - disc.y) > 25)) break
    }
    out.push({ ...tag, from, disc })
  }
  return out
}
