import type { DraftPart, DraftStart } from '@merry-tailor/core'

export const DRAFT_NAMES: Readonly<Record<DraftPart, string>> = {
  neck: 'Neck',
  keel: 'Keel',
  back: 'Back',
  upper: 'Upper trace',
  lower: 'Lower trace',
  cinch: 'Cinch',
  loopDrop: 'Loop drop',
  loop: 'Shaft loop',
  belly: 'Belly band',
  rear: 'Rear trace',
}

export const draftName = (part: string): string => (part in DRAFT_NAMES ? DRAFT_NAMES[part as DraftPart] : part)

/** What cannot be laid as handbook 7.2 asks. */
export const DRAFT_MISSES: Readonly<Record<DraftStart['misses'][number]['code'], string>> = {
  'no-loop': 'No loop passes these shafts and not their stops',
  'no-bone-for-band': 'Little bone is left behind the cinch for a belly band',
  'keel-past-sternum': 'The keel strap would end past the breastbone',
}
