import type { Check } from '@merry-tailor/core'

/** How a hand makes a check, as it is drawn. */
export type HandPose =
  | { kind: 'flat'; fingers: number }
  | { kind: 'eight' }
  | { kind: 'wide'; fingers: number }
  | { kind: 'point' }
  | { kind: 'sides' }
  | { kind: 'pull' }
  | { kind: 'swing' }
  | { kind: 'walk' }
  | { kind: 'feel' }

const PULLED: ReadonlySet<string> = new Set([
  'tug-at-tail-base',
  'ends-mid-back',
  'end-below-tail',
  'buckles-tugged',
  'release-drilled',
  'no-sway',
  'hips-free',
])
const SWUNG: ReadonlySet<string> = new Set(['blade-free', 'armpit-in-step', 'clear-of-armpit', 'hind-room'])
const SIDES: ReadonlySet<string> = new Set([
  'sides-equal',
  'cross-sides-equal',
  'traces-even',
  'rear-traces-equal',
  'shaft-loops-level',
  'centred',
  'hangs-level',
])

export function handOf(check: Pick<Check, 'id' | 'gauge' | 'states'>): HandPose {
  const { id, gauge, states } = check
  if (id === 'front-eight-fingers') return { kind: 'eight' }
  if (SIDES.has(id)) return { kind: 'sides' }
  if (PULLED.has(id)) return { kind: 'pull' }
  if (SWUNG.has(id)) return { kind: 'swing' }
  if (gauge?.kind === 'flat') return { kind: 'flat', fingers: Math.max(1, Math.min(4, Math.round(gauge.passFingers[1]))) }
  if (gauge?.kind === 'wide') return { kind: 'wide', fingers: Math.max(1, Math.min(4, Math.round(gauge.passFingers[1]))) }
  if (gauge?.kind === 'gap') return { kind: 'point' }
  return states.every((state) => state === 'moving') ? { kind: 'walk' } : { kind: 'feel' }
}
