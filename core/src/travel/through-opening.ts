import { convex, largest, sidesOf, type Corner } from './flat-limits.ts'

const STEP = (0.5 / 180) * Math.PI
const GOLDEN = (Math.sqrt(5) - 1) / 2

/**
 * How much room a crate's face has in an opening: how much each of its sides could grow, negative too big; rolled as far
 * as serves, at most so far. With a dog inside nothing is rolled.
 *
 * @param polygon the opening, convex, mm
 * @throws RangeError for an opening or a face that is none
 */
export function throughOpening(
  polygon: readonly Corner[],
  { widthMm, heightMm }: { widthMm: number; heightMm: number },
  maxRollRad = 0,
): { roomMm: number; rollRad: number } {
  for (const mm of [widthMm, heightMm]) if (!(mm > 0) || !Number.isFinite(mm)) throw new RangeError(`a face is wider and higher than 0 mm: ${mm}`)
  if (!(maxRollRad >= 0) || !Number.isFinite(maxRollRad)) throw new RangeError(`a roll is an angle of 0 or more: ${maxRollRad}`)
  const sides = sidesOf(convex(polygon, 'opening'))
  const roomAt = (roll: number): number => {
    const [c, s] = [Math.cos(roll), Math.sin(roll)]
    const limits = sides.map(({ nx, ny, out }) => {
      const [u, v] = [Math.abs(nx * c + ny * s), Math.abs(-nx * s + ny * c)]
      return { nx, ny, ng: u + v, most: out - (u * widthMm + v * heightMm) / 2 }
    })
    return largest(limits, { x: 0, y: 0, g: 1 })?.g ?? -Infinity
  }
  let best = { roomMm: roomAt(0), rollRad: 0 }
  const most = Math.min(maxRollRad, Math.PI / 2)
  const n = Math.ceil(most / STEP)
  for (let i = -n; i <= n; i++) {
    const roll = Math.max(-most, Math.min(most, i * STEP))
    const roomMm = roomAt(roll)
    if (roomMm > best.roomMm + 1e-9) best = { roomMm, rollRad: roll }
  }
  if (n === 0) return best
  let [low, high] = [Math.max(-most, best.rollRad - STEP), Math.min(most, best.rollRad + STEP)]
  for (let turn = 0; turn < 40; turn++) {
    const [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)]
    if (roomAt(a) > roomAt(b)) high = b
    else low = a
  }
  const rollRad = (low + high) / 2
  const roomMm = roomAt(rollRad)
  return roomMm > best.roomMm ? { roomMm, rollRad } : best
}
