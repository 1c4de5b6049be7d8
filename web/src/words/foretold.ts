import { checkById, type CheckId, type LengthStyle, type PredictedCheck, type StrapId } from '@merry-tailor/core'
import { lengthText } from '../ui/length/length-text'

export const STRAP_NAMES: Readonly<Record<StrapId, string>> = {
  neck: 'Neck',
  front: 'Front strap',
  keel: 'Sternum strap',
  girth: 'Girth strap',
  cinch: 'Cinch',
  side: 'Side strap',
  cross: 'Cross strap',
  back: 'Back strap',
  upper: 'Upper trace',
  lower: 'Lower trace',
  rear: 'Rear strap',
  belly: 'Belly strap',
  loopDrop: 'Shaft loop',
}

export const strapName = (id: string): string => (id in STRAP_NAMES ? STRAP_NAMES[id as StrapId] : id)

/** What a figure’s minus and plus mean, said after the length. */
const SENSE: Partial<Record<CheckId, readonly [minus: string, plus: string]>> = {
  'y-on-breastbone': ['below the lump', 'above the lump'],
  'v-on-breastbone': ['below the lump', 'above the lump'],
  'breastbone-covered': ['below the lump', 'above the lump'],
  'throat-and-belly-clear': ['below the lump', 'above the lump'],
  'cross-throat-and-belly-clear': ['below the lump', 'above the lump'],
  'ring-on-the-chest': ['below the lump', 'above the lump'],
  'top-at-withers': ['behind the withers', 'ahead of the withers'],
  'neck-opening-at-withers': ['behind the withers', 'ahead of the withers'],
  'sits-below-neck': ['behind the withers', 'ahead of the withers'],
  'sides-on-ribs': ['ahead of the rib’s edge', 'behind the rib’s edge'],
  'tug-at-tail-base': ['short of the tail base', 'past the tail base'],
  'end-below-tail': ['short of its place', 'past its place'],
  'hips-free': ['short of its place', 'past its place'],
  'ends-mid-back': ['ahead of the tail base', 'past the tail base'],
  'girth-strap-on-rib': ['ahead of the last true rib', 'behind the last true rib'],
  'girth-on-bone': ['ahead of the sternum’s end', 'behind the sternum’s end'],
  'keel-ends-on-bone': ['ahead of the sternum’s end', 'behind the sternum’s end'],
  'girth-strap-behind-elbow': ['ahead of the elbow', 'behind the elbow'],
  'clear-of-armpit': ['into the armpit', 'clear'],
  'armpit-in-step': ['into the armpit', 'clear'],
  'blade-free': ['over the blade', 'clear'],
  'belly-strap-behind-ribs': ['ahead of the rib’s edge', 'behind the rib’s edge'],
}
const ROOM = ['too little strap', 'of strap to spare'] as const
const BESIDE = ['less than the dog', 'more than the dog'] as const

const clothLike = (check: CheckId): boolean =>
  ['coat', 'boot', 'crate'].some((shelf) => (checkById(check)?.family ?? 'H01').startsWith({ coat: 'C', boot: 'B', crate: 'K' }[shelf] ?? '?'))

/** What is expected of a check, as a range on its own scale: “1/8 to 3/8 in below the lump”. */
export function expectedWords({ check, mm, sigmaMm }: PredictedCheck, look: LengthStyle): string {
  if (mm === null || sigmaMm === null) return 'Only a hand can tell.'
  const [minus, plus] = SENSE[check] ?? (clothLike(check) ? BESIDE : ROOM)
  const spread = 1.28 * sigmaMm
  const [from, to] = [mm - spread, mm + spread]
  const about = (value: number): string => lengthText(Math.abs(value), look)
  if (from < 0 && to > 0) return `${about(from)} ${minus} to ${lengthText(to, look, true)} ${plus}`
  const [near, far] = from >= 0 ? [from, to] : [to, from]
  return `${about(near)} to ${lengthText(Math.abs(far), look, true)} ${from >= 0 ? plus : minus}`
}

/** A check with the strap it is asked of. */
export const foretoldName = ({ check, strap }: Pick<PredictedCheck, 'check' | 'strap'>): string =>
  check === 'under-every-strap' && strap ? `Under the ${strapName(strap).toLowerCase()}` : (checkById(check)?.name ?? check)

/** “should hold in 3 checks, could go either way in 1, likely misses 1”; what nothing is foretold of is left out. */
export function foretoldTitle(checks: readonly PredictedCheck[]): string {
  const count = (grade: PredictedCheck['grade']): number => checks.filter((each) => each.grade === grade).length
  const [holds, doubt, fails] = [count('holds'), count('doubt'), count('fails')]
  const parts = [
    ...(holds > 0 ? [`should hold in ${holds} ${holds === 1 ? 'check' : 'checks'}`] : []),
    ...(doubt > 0 ? [`could go either way in ${doubt}`] : []),
    ...(fails > 0 ? [`likely misses ${fails}`] : []),
  ]
  return parts.length === 0 ? 'can only be tried on: nothing is foretold' : parts.join(', ')
}
