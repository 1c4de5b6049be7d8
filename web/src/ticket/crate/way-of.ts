import type { Box, CarSpace, WayInQuestion } from '@merry-tailor/core'

type Spot = [number, number]
/** How far behind the sill a crate is lifted in from, mm; how far it may be tipped empty. Ours. */
const BEHIND = 80
const TIP = (30 / 180) * Math.PI
const OVER = 30

/**
 * How a crate is brought in, seen from the side: over the sill, under the opening's upper edge, to where it stands. With
 * a dog inside it stays level.
 *
 * @param toMm how far from the sill its middle stands
 */
export function wayOf({ side, opening, sillMm, floorUpMm }: CarSpace, { lengthMm, heightMm }: Box, toMm: number, level: boolean): WayInQuestion {
  const top = opening ? Math.max(...opening.map(([, z]) => z)) : Math.max(...side.map(([, z]) => z))
  // The body's skin but for the plane it comes in through, and the floor: nothing is lowered under where it stands.
  const skin = side.flatMap((a, i): [Spot, Spot][] => {
    const b = side[(i + 1) % side.length] as Spot
    const isFloor = a[1] < 1 && b[1] < 1
    const isOpening = a[0] < 1 && b[0] < 1
    return isFloor || isOpening ? [] : [[[a[0], a[1]], [b[0], b[1]]]]
  }) // prettier-ignore
  const walls: [Spot, Spot][] = [...skin, [[0, -floorUpMm], [0, sillMm]], [[0, top], [0, top + 900]]] // prettier-ignore
  const start: Spot = [-lengthMm / 2 - BEHIND, Math.max(sillMm, 0) + heightMm / 2 + OVER]
  const goal: Spot = [toMm, heightMm / 2]
  const high = Math.max(start[1], goal[1]) + 150
  const turn = level ? 0 : TIP
  return {
    walls,
    lengthMm: Math.max(1, lengthMm - 2),
    heightMm: Math.max(1, heightMm - 2),
    start: [start[0], start[1], 0],
    goal: [goal[0], goal[1] + 2, 0],
    within: { x: [start[0], Math.max(goal[0], start[0] + 10)], y: [goal[1], high], turnRad: [-turn, turn] },
    stepMm: 12,
    stepRad: Math.PI / 90,
  }
}
