import { checkById, checksFor, hasOwnChecks, isGeneral, symptoms, type WornAbout } from '../gear/index.ts'
import { gapGrade } from './judge-answer.ts'
import { lastStep } from './last-steps.ts'
import { latestObservations } from './latest-observations.ts'
import type { Basis, FamilyId, Grade, Observation, SymptomNote, TryOn } from '../model/index.ts'

/** What was seen on the dog in one round. `open` are checks with a state nobody has answered. */
export interface RoundVerdict {
  grade: Grade
  seen: number
  wanted: number
  /** Checks that do not hold or want another look, worst first. */
  troubles: { check: string; state: Observation['state']; grade: 'doubt' | 'fails' }[]
  /** Symptoms that mean stop and refit are among those present. */
  stops: string[]
  /** The fitter's one word on the whole, where the kind has no checks of its own. */
  word: Observation | null
  /** Always seen on the dog, never predicted. */
  basis: Extract<Basis, 'seen'>
}

/**
 * The name under which the fitter's one word is kept. A kind without checks of its own yet (none, or only those of every
 * harness) ends with it, and it is shown as his.
 */
export const FITTERS_WORD = 'fitters-word'
/** The state it is kept under. */
const WORD_STATE = 'slack'

/** The symptoms whose newest note says they are there. */
export function presentSymptoms(notes: readonly SymptomNote[]): SymptomNote[] {
  const newest = new Map(notes.filter((note) => !note.struck).map((note) => [note.symptom, note]))
  return [...newest.values()].filter((note) => note.present)
}

/** An answer whose number along the body is graded otherwise today than when it was given wants another look. */
function asGradedNow(answer: Observation): Observation {
  const gauge = checkById(answer.check)?.gauge
  if (gauge?.kind !== 'gap' || answer.mm === null) return answer
  return gapGrade(answer.mm, gauge).grade === answer.grade ? answer : { ...answer, grade: 'doubt' }
}

/** Kinds whose own checks were there from the first: none of their rounds ever ended by a word. */
const ALWAYS_CHECKED: ReadonlySet<FamilyId> = new Set(['H01', 'H11', 'H12', 'H13', 'H16', 'H17', 'H18'])

/** Does the fitter's word end the round: where the kind has no checks of its own, or had none when it was said. */
function endsByWord(family: FamilyId, newest: ReadonlyMap<string, Observation>): boolean {
  if (!hasOwnChecks(family)) return true
  if (ALWAYS_CHECKED.has(family)) return false
  return !checksFor(family).some((check) => !isGeneral(check) && check.states.some((state) => newest.has(`${check.id}/${state}`)))
}

/** The build a piece shows itself to be of: one that was answered about has it. */
export function buildSeen(family: FamilyId, observations: readonly Observation[]): string | null {
  const seen = new Set(observations.filter((each) => !each.struck).map((each) => each.check))
  return checksFor(family).find((check) => check.only?.build !== undefined && seen.has(check.id))?.only?.build ?? null
}

/**
 * Brings one round to one finding: fails as soon as one check fails or a symptom is there, doubt while one wants
 * another look or is unanswered though others are, holds only when every check in every state was seen to hold and it did
 * not slip in the safe place. A kind
 * without checks of its own never holds by the general ones: the fitter's word ends it.
 *
 * @param about dog and build, as far as checks depend on them; a build nobody said is taken from what was answered
 */
export function roundVerdict(family: FamilyId, round: Pick<TryOn, 'observations' | 'symptoms'>, about: WornAbout = {}): RoundVerdict {
  const newest = latestObservations(round.observations)
  const known = { ...about, build: about.build ?? buildSeen(family, round.observations) }
  const word = endsByWord(family, newest) ? (newest.get(`${FITTERS_WORD}/${WORD_STATE}`) ?? null) : null
  const wanted = checksFor(family, known).flatMap((check) => check.states.map((state) => ({ check: check.id, state })))
  const answers = wanted.map(({ check, state }) => newest.get(`${check}/${state}`))
  const seen = answers.filter((answer) => answer !== undefined).map(asGradedNow)
  const present = presentSymptoms(round.symptoms).filter((note) => symptoms[note.symptom]?.harmless !== true)
  const troubles = seen
    .flatMap((answer) => (answer.grade === 'holds' ? [] : [{ check: answer.check, state: answer.state, grade: answer.grade }]))
    .sort((a, b) => Number(b.grade === 'fails') - Number(a.grade === 'fails'))
  const stops = present.map((note) => note.symptom).filter((id) => symptoms[id]?.stop)

  const grade: Grade =
    troubles.some((trouble) => trouble.grade === 'fails') || present.length > 0 || lastStep(round, 'safe-place') === 'fails'
      ? 'fails'
      : word !== null || !hasOwnChecks(family)
        ? (word?.grade ?? (seen.length === 0 ? 'none' : 'doubt'))
        : seen.length === 0
          ? 'none'
          : troubles.length > 0 || seen.length < wanted.length
            ? 'doubt'
            : 'holds'
  return { grade, seen: seen.length, wanted: wanted.length, troubles, stops, word, basis: 'seen' }
}
