import { checkById } from '../gear/index.ts'
import type { FamilyId, TryOn } from '../model/index.ts'
import { writeCsv } from './csv.ts'

/** Whose rounds they are. */
export interface RoundsHead {
  dog: string
  ticket: string
  family: FamilyId
}

const newest = ({ observations }: TryOn) => new Map(observations.filter((each) => !each.struck).map((each) => [`${each.check}/${each.state}`, each]))
const standing = (rounds: readonly TryOn[]): TryOn[] => rounds.filter((round) => !round.struck)

interface RoundLine {
  check: string
  name: string
  state: string
  strap: string | null
  foretold: { grade: string; mm: number | null; sigmaMm: number | null } | null
  seen: { grade: string; asTyped: string; mm: number | null; fingers: number | null } | null
}

/** Every check foretold or answered in a round, one line each. */
function linesOf(round: TryOn): RoundLine[] {
  const seen = newest(round)
  const foretold = round.foretold?.checks ?? []
  const keys = [...new Set([...foretold.map(({ check, state, strap }) => `${check}/${state}/${strap ?? ''}`), ...[...seen.keys()].map((key) => `${key}/`)])]
  return keys.flatMap((key): RoundLine[] => {
    const [check = '', state = '', strap = ''] = key.split('/')
    const told = foretold.find((each) => each.check === check && each.state === state && (each.strap ?? '') === strap)
    const answer = seen.get(`${check}/${state}`)
    // An answer to a check foretold strap by strap stands on each strap's line.
    if (!told && foretold.some((each) => each.check === check && each.state === state)) return []
    return [
      {
        check,
        name: checkById(check)?.name ?? check,
        state,
        strap: strap || null,
        foretold: told ? { grade: told.grade, mm: told.mm, sigmaMm: told.sigmaMm } : null,
        seen: answer ? { grade: answer.grade, asTyped: answer.asTyped, mm: answer.mm, fingers: answer.fingers } : null,
      },
    ]
  })
}

/** Rounds of one item with what was foretold and what was seen (docs/formats.md). Lengths mm; what was taken back is left out. */
export const roundsToJson = (rounds: readonly TryOn[], head: RoundsHead): string =>
  JSON.stringify(
    {
      format: 'merry-tailor/rounds',
      version: 1,
      ...head,
      rounds: standing(rounds).map((round, i) => ({
        round: i + 1,
        label: round.label,
        at: round.at,
        by: round.by,
        changed: round.changed,
        moves: round.moves ?? [],
        seconds: round.seconds ?? null,
        rules: round.foretold?.version ?? null,
        straps: round.foretold?.straps ?? {},
        checks: linesOf(round),
        symptoms: round.symptoms.filter((each) => !each.struck).map(({ symptom, remedy, present }) => ({ symptom, remedy, present })),
      })),
    },
    null,
    2,
  )

const cell = (value: string | number | null): string => (value === null ? '' : String(value))

/** The same checks as CSV (RFC 4180): a line for each check of each round. */
export const roundsToCsv = (rounds: readonly TryOn[], head: RoundsHead): string =>
  writeCsv([
    ['dog', 'ticket', 'family', 'round', 'label', 'at', 'check', 'name', 'state', 'strap', 'foretold', 'foretold mm', 'foretold sigma mm', 'seen', 'as typed', 'seen mm', 'seen fingers'],
    ...standing(rounds).flatMap((round, i) =>
      linesOf(round).map(({ check, name, state, strap, foretold, seen }) => [
        head.dog, head.ticket, head.family, String(i + 1), round.label, round.at, check, name, state, cell(strap),
        cell(foretold?.grade ?? null), cell(foretold?.mm ?? null), cell(foretold?.sigmaMm ?? null),
        cell(seen?.grade ?? null), seen?.asTyped ?? '', cell(seen?.mm ?? null), cell(seen?.fingers ?? null),
      ]),
    ),
  ]) // prettier-ignore
