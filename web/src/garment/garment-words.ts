import type { GarmentCheck, GarmentCheckId, GarmentPlan, Grade, KnitLine, PatternPiece } from '@merry-tailor/core'

export const CLOTH_WORDS = { woven: 'Woven', fleece: 'Fleece', knit: 'Knitted' } as const
export const CUT_WORDS = { plain: 'Straight', shaped: 'Shaped' } as const
export const HEM_WORDS = { elbow: 'Elbow', belly: 'Belly line', short: 'Shorter' } as const
export const FASTENING_WORDS = {
  'strips-clips': 'Strips, clips',
  'band-buckle': 'Band, buckle',
  'one-button': 'One button, top',
  'two-buttons': 'Two buttons, low',
  'sewn-shut': 'Sewn shut',
} as const
export const EASE_NAMES = { neckMm: 'Neck', headMm: 'Head', girthMm: 'Girth and band', lengthMm: 'Back length' } as const

export const CHECK_NAMES: Readonly<Record<GarmentCheckId, string>> = {
  'hood-ring': 'Hood ring',
  'hood-over-ears': 'Hood over the ears',
  'over-shoulder': 'Over the shoulder',
  'leg-opening': 'Leg opening',
  sheath: 'Belly edge',
  'hem-before-tail': 'Hem and tail',
  'band-on-its-ring': 'Band on its ring',
  'fronts-meet': 'Fronts meet',
  'passes-head': 'Opening',
  'rib-at-chest': 'Rib at the chest',
  'rib-at-waist': 'Rib at the waist',
  'sleeve-at-wrist': 'Sleeve at the wrist',
  'leg-off-toes': 'Leg off the toes',
  outline: 'Pieces',
}

/** What to expect where a check does not hold. */
const ELSE: Readonly<Record<GarmentCheckId, string>> = {
  'hood-ring': 'else the hood is tight',
  'hood-over-ears': 'else ears stay bare',
  'over-shoulder': 'else it pulls; fleece gives',
  'leg-opening': 'else it rubs',
  sheath: 'else he wets it',
  'hem-before-tail': 'else over the tail',
  'band-on-its-ring': 'else it slides back',
  'fronts-meet': 'else it gapes',
  'passes-head': 'else it does not go on',
  'rib-at-chest': 'else too tight to walk in',
  'rib-at-waist': 'else it slides back',
  'sleeve-at-wrist': 'else he steps out of it',
  'leg-off-toes': 'else he steps on it',
  outline: 'These numbers make no piece that can be cut: look at tapes and ease',
}
export const elseWords = (id: GarmentCheckId): string => ELSE[id]

/** The number of a check in one short line. */
export function checkValue({ id, mm, needsMm }: GarmentCheck, say: (mm: number) => string): string {
  switch (id) {
    case 'sheath':
      return mm >= 0 ? `${say(mm)} ahead` : `${say(-mm)} too far back`
    case 'over-shoulder':
      return `pulls ${say(mm)}`
    case 'fronts-meet':
      return mm < 0 ? `${say(-mm)} open` : mm === 0 ? 'just meet' : `lap ${say(mm)}`
    case 'hem-before-tail':
      return mm > 0 ? `${say(mm)} over` : mm < 0 ? `${say(-mm)} ahead` : 'at the tail base'
    case 'band-on-its-ring':
      return `laps ${say(mm)}`
    case 'leg-off-toes':
      return `ends ${say(Math.max(0, needsMm - mm))} off the floor`
    case 'outline':
      return ''
    default:
      return Math.abs(mm - needsMm) < 0.5 ? say(mm) : `${say(mm)}, needs ${say(needsMm)}`
  }
}

/** Of how many the room's heading speaks. */
export function countGrades(checks: readonly { grade: Grade }[]): string {
  const of = (grade: Grade): number => checks.filter((check) => check.grade === grade).length
  const parts = [
    of('holds') > 0 ? `should hold in ${of('holds')}` : '',
    of('doubt') > 0 ? `could go either way in ${of('doubt')}` : '',
    of('fails') > 0 ? `should not hold in ${of('fails')}` : '',
  ].filter(Boolean)
  return `${parts.join(', ')}.`
}

const COUNTS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']
export const countWord = (n: number): string => COUNTS[n] ?? String(n)

export const pieceCount = ({ count, mirrored, fold }: Pick<PatternPiece, 'count' | 'mirrored' | 'fold'>): string =>
  `cut ${count}${fold === null ? '' : ' on fold'}${mirrored && count > 1 ? ', mirrored' : ''}`

const EDGES: Readonly<Record<string, string>> = {
  neck: 'Neck seam', front: 'Front seam', hem: 'Hem', tail: 'Tail edge', leg: 'Leg opening', side: 'Side edge', band: 'Band edge', crown: 'Crown seam', face: 'Face edge', throat: 'Throat seam',
  shoulder: 'Shoulder seam', lower: 'Lower edge', armhole: 'Armhole', belly: 'Belly seam', 'centre-back': 'Centre back', 'centre-front': 'Centre front', cap: 'Top of the sleeve', cuff: 'Cuff',
} // prettier-ignore
export const edgeName = (id: string): string => EDGES[id] ?? `${id.charAt(0).toUpperCase()}${id.slice(1).replaceAll('-', ' ')}`

/** A line of the knitting, as it is said aloud. */
export function knitLineWords({ code, row, every, times, by }: KnitLine): { rows: string; what: string } {
  const each = Math.abs(by) / 2
  const last = every === null ? null : row + every * (times - 1)
  const rows =
    code === 'straight'
      ? `Rows ${row} to ${row + times - 1}`
      : times === 1
        ? `Row ${row}`
        : every === null
          ? `From row ${row}, as charted`
          : `Rows ${row} to ${last ?? row}, every ${every === 2 ? '2nd' : `${every}th`}`
  const turns = times === 1 ? '' : `, ${times} times`
  switch (code) {
    case 'straight':
      return { rows, what: 'Knit straight.' }
    case 'increase':
      return { rows, what: `Increase 1 each side${turns}.` }
    case 'decrease':
      return { rows, what: `Decrease 1 each side${turns}.` }
    case 'cast-on':
      return { rows, what: `Cast on ${each}, this row and the next${turns}.` }
    case 'bind-off':
      return { rows, what: `Bind off ${each}, this row and the next${turns}.` }
  }
}

/** How many edges a hand moved, and how many places were pinned on the dog. */
export function movesWords(moves: NonNullable<GarmentPlan['moves']>): string[] {
  const pinned = moves.filter(({ round }) => round !== undefined).length
  const moved = moves.length - pinned
  return [
    moved > 0 ? `${moved} ${moved === 1 ? 'edge' : 'edges'} moved by hand` : '',
    pinned > 0 ? `pinned in ${pinned} ${pinned === 1 ? 'place' : 'places'}` : '',
  ].filter(Boolean)
}

/** A plan in a few words, for two that stand against each other. */
export function planWords(plan: GarmentPlan, say: (mm: number) => string): string {
  const ease = Object.entries(plan.ease ?? {}).map(
    ([zone, mm]) => `${EASE_NAMES[zone as keyof typeof EASE_NAMES].toLowerCase()} ${mm < 0 ? '-' : '+'}${say(Math.abs(mm))}`,
  )
  const parts = [
    plan.cloth ? CLOTH_WORDS[plan.cloth].toLowerCase() : '',
    plan.cut ? CUT_WORDS[plan.cut].toLowerCase() : '',
    plan.hem ? `hem: ${HEM_WORDS[plan.hem].toLowerCase()}` : '',
    plan.fastening ? FASTENING_WORDS[plan.fastening].toLowerCase() : '',
    ...ease,
    ...movesWords(plan.moves ?? []),
    plan.swatch ? `swatch of ${plan.swatch.stitches} by ${plan.swatch.rows}` : '',
  ].filter(Boolean)
  return parts.length === 0 ? 'as drafted' : parts.join(', ')
}

/** The order a garment is sewn in, by family. Common practice. */
export const SEWING: Readonly<Record<string, readonly string[]>> = {
  C1: ['Close the dart, if there is one.', 'Sew the fronts to the shoulders.', 'Hem all round.', 'Set band and fastening, then try it on.', 'Cut the holes last.'],
  C2: ['Join back and belly at the shoulders.', 'Set the sleeves.', 'Close sleeves and sides in one go.', 'Set the rib collar.'],
  C3: [
    'Close the dart, if there is one.', 'Line the chest.', 'Sew the front seams, back to chest.', 'Sew crown and throat of the hood; set the casing at its face.', 'Set the hood: two notches to two notches.', 'Bind the leg openings, hem the rest.', 'Set the strips, then try it on before the clips.',
  ],
  C4: ['Sew the legs closed.', 'Set the legs into the shells.', 'Sew back and belly.', 'Set tunnels and collar, draw the cords in.', 'Set the flap over the zip.'],
  C5: ['Close the dart, if there is one.', 'Sew the fronts to the shoulders.', 'Set the reflecting bands.', 'Hem all round, set the band.'],
} // prettier-ignore
