/** What is known of a body: agreed values by measure ID, full length, mm. */
export type Body = Readonly<Record<string, { mm: number | null; sigmaMm?: number | null } | undefined>>

export type PlausibleRule = 'neck-under-girth' | 'half-neck-to-girth' | 'route-order' | 'length-parts' | 'schools-window' | 'same-value'

/** Likeliest cause first. Words are made in the interface. */
export type LikelyCause =
  | 'doubled-twice'
  | 'not-doubled'
  | 'collar-line'
  | 'thick-ruff'
  | 'girth-too-far-forward'
  | 'route-mistake'
  | 'ran-onto-belly'
  | 'earlier-rib'
  | 'soft-flank'
  | 'kinked-line'
  | 'on-the-tail'
  | 'copied'
  | 'other-school'
  | 'dog-is-so'

/** A question about readings: it asks, it never blocks and never corrects. */
export interface Finding {
  rule: PlausibleRule
  measures: string[]
  /** How far past the rule's limit, mm, always positive; 0 for values that are simply the same. */
  byMm: number
  because: { code: PlausibleRule; limit?: number; found?: number }
  ask: LikelyCause[]
}

/** Half neck to girth. Source: handbook 3.3, from memory, unverified. */
const HALF_NECK_SHARE = { low: 0.35, high: 0.48 }
/** M11 to M10. Source: handbook 3.2, from memory, unverified. */
const SCHOOL_SHARE = { low: 0.55, high: 0.85 }
/** Two parts of one line against the whole. Source: handbook 3.3, tolerance from memory, unverified. */
const LINE_TOLERANCE_MM = 10
/** Same number twice: nearer than any tape reads. */
const SAME_MM = 0.5

const inShare = (share: number): boolean => share > HALF_NECK_SHARE.low && share < HALF_NECK_SHARE.high

function neckAgainstGirth(neck: number | undefined, girth: number | undefined): Finding[] {
  if (neck === undefined || girth === undefined) return []
  const share = neck / 2 / girth
  if (neck >= girth) {
    return [
      {
        rule: 'neck-under-girth',
        measures: ['M01', 'M07'],
        byMm: neck - girth,
        because: { code: 'neck-under-girth' },
        ask: inShare(share / 2) ? ['doubled-twice', 'thick-ruff', 'girth-too-far-forward'] : ['thick-ruff', 'doubled-twice', 'girth-too-far-forward'],
      },
    ]
  }
  if (inShare(share)) return []
  const tooLow = share <= HALF_NECK_SHARE.low
  const limit = tooLow ? HALF_NECK_SHARE.low : HALF_NECK_SHARE.high
  const ask: LikelyCause[] = tooLow
    ? inShare(share * 2)
      ? ['not-doubled', 'collar-line', 'dog-is-so']
      : ['collar-line', 'not-doubled', 'dog-is-so']
    : inShare(share / 2)
      ? ['doubled-twice', 'thick-ruff', 'dog-is-so']
      : ['thick-ruff', 'girth-too-far-forward', 'dog-is-so']
  return [
    {
      rule: 'half-neck-to-girth',
      measures: ['M01', 'M07'],
      byMm: Math.abs(neck - 2 * limit * girth),
      because: { code: 'half-neck-to-girth', limit, found: share },
      ask,
    },
  ]
}

function routeOrder(shorter: string, longer: string, value: (id: string) => number | undefined): Finding[] {
  const [a, b] = [value(shorter), value(longer)]
  if (a === undefined || b === undefined || a < b) return []
  const ask: LikelyCause[] = shorter === 'M06' ? ['ran-onto-belly', 'earlier-rib', 'route-mistake'] : ['soft-flank', 'route-mistake', 'other-school']
  return [{ rule: 'route-order', measures: [shorter, longer], byMm: a - b, because: { code: 'route-order' }, ask }]
}

function lengthParts(value: (id: string) => number | undefined): Finding[] {
  const [under, onward, whole] = [value('M10'), value('M12'), value('M13')]
  if (under === undefined || onward === undefined || whole === undefined) return []
  const over = whole - (under + onward)
  if (over <= LINE_TOLERANCE_MM) return []
  return [
    {
      rule: 'length-parts',
      measures: ['M13', 'M10', 'M12'],
      byMm: over,
      because: { code: 'length-parts', limit: under + onward, found: whole },
      ask: ['on-the-tail', 'earlier-rib', 'kinked-line'],
    },
  ]
}

function schoolsWindow(value: (id: string) => number | undefined): Finding[] {
  const [under, over] = [value('M10'), value('M11')]
  if (under === undefined || over === undefined) return []
  const share = over / under
  if (share >= SCHOOL_SHARE.low && share <= SCHOOL_SHARE.high) return []
  const limit = share < SCHOOL_SHARE.low ? SCHOOL_SHARE.low : SCHOOL_SHARE.high
  return [
    {
      rule: 'schools-window',
      measures: ['M11', 'M10'],
      byMm: Math.abs(over - limit * under),
      because: { code: 'schools-window', limit, found: share },
      ask: share > SCHOOL_SHARE.high ? ['soft-flank', 'other-school', 'earlier-rib'] : ['earlier-rib', 'other-school', 'route-mistake'],
    },
  ]
}

/** Equal numbers are sometimes right (a half neck and a sternum may well be the same), so this only asks. */
function sameValue(value: (id: string) => number | undefined, ids: readonly string[]): Finding[] {
  const asRead: [string, number][] = []
  for (const id of ids) {
    const mm = value(id)
    if (mm === undefined || id === 'M00') continue
    asRead.push([id, mm])
    if (id === 'M01') asRead.push([id, mm / 2])
  }
  const findings: Finding[] = []
  asRead.forEach(([left, a], i) => {
    for (const [right, b] of asRead.slice(i + 1)) {
      if (left === right || Math.abs(a - b) > SAME_MM) continue
      if (findings.some((finding) => finding.measures.includes(left) && finding.measures.includes(right))) continue
      findings.push({ rule: 'same-value', measures: [left, right], byMm: 0, because: { code: 'same-value', found: b }, ask: ['copied', 'dog-is-so'] })
    }
  })
  return findings
}

/**
 * Cross-checks between measures (handbook 3.3) for harness neck, sternum, girth and the length lines.
 *
 * @param body agreed values, mm; measures without a value are left out of every rule
 * @returns findings, the largest miss first. They ask and name the likely cause; they never correct.
 */
export function plausible(body: Body): Finding[] {
  const value = (id: string): number | undefined => {
    const mm = body[id]?.mm
    return typeof mm === 'number' && Number.isFinite(mm) ? mm : undefined
  }
  const direct = value('M10') === undefined ? routeOrder('M06', 'M13', value) : []
  const found = [
    ...neckAgainstGirth(value('M01'), value('M07')),
    ...routeOrder('M06', 'M10', value),
    ...routeOrder('M10', 'M13', value),
    ...direct,
    ...lengthParts(value),
    ...schoolsWindow(value),
    ...sameValue(value, Object.keys(body).sort()),
  ]
  return found.sort((a, b) => b.byMm - a.byMm)
}

/** The code under which a finding kept as the dog's own is remembered: with its values, so that a new reading asks anew. */
export const findingCode = (finding: Finding, body: Body): string =>
  `${finding.rule}:${finding.measures.map((id) => `${id}=${Math.round(body[id]?.mm ?? 0)}`).join(',')}`

/** Findings nobody has kept as the dog's own yet. */
export function openFindings(body: Body, kept: readonly { kind: string; code: string }[]): Finding[] {
  const codes = new Set(kept.filter((ack) => ack.kind === 'finding').map((ack) => ack.code))
  return plausible(body).filter((finding) => !codes.has(findingCode(finding, body)))
}
