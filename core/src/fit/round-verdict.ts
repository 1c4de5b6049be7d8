import type { FamilyId, Grade, Observation, SymptomNote, TryOn } from '../model/index.ts'
import { checksFor } from './checks.ts'

/** What was seen on the dog in one round. `open` are checks with a state nobody has answered. */
export interface RoundVerdict {
  grade: Grade
  seen: number
  wanted: number
  /** Checks that do not hold or want another look, worst first. */
  troubles: { check: string; state: Observation['state']; grade: 'doubt' | 'fails' }[]
  /** Symptoms that mean stop and refit are among those present. */
  stops: string[]
}

/** The newest answer for each check and state; later ones replace earlier ones. */
export function latestObservations(observations: readonly Observation[]): Map<string, Observation> {
  const newest = new Map<string, Observation>()
  for (const each of observations) {
    const key = `${each.check}/${each.state}`
    const known = newest.get(key)
    if (!known || known.at < each.at || (known.at === each.at && known.id < each.id)) newest.set(key, each)
  }
  return newest
}

/** The symptoms whose newest note says they are there. */
export function presentSymptoms(notes: readonly SymptomNote[]): SymptomNote[] {
  const newest = new Map<string, SymptomNote>()
  for (const note of notes) {
    const known = newest.get(note.symptom)
    if (!known || known.at < note.at || (known.at === note.at && known.id < note.id)) newest.set(note.symptom, note)
  }
  return [...newest.values()].filter((note) => note.present)
}

/** Symptoms that are tolerance or the normal slack look: noted, no trouble (handbook 7.3, S07 and S08). */
const HARMLESS = new Set(['S07', 'S08'])
const STOPS = new Set(['S01', 'S23'])

/**
 * Brings one round to one finding: fails as soon as one check fails or a symptom is there, doubt while one wants
 * another look or is unanswered though others are, holds only when every check in every state was seen to hold.
 */
export function roundVerdict(family: FamilyId, round: Pick<TryOn, 'observations' | 'symptoms'>): RoundVerdict {
  const newest = latestObservations(round.observations)
  const wanted = checksFor(family).flatMap((check) => check.states.map((state) => ({ check: check.id, state })))
  const answers = wanted.map(({ check, state }) => newest.get(`${check}/${state}`))
  const seen = answers.filter((answer) => answer !== undefined)
  const present = presentSymptoms(round.symptoms).filter((note) => !HARMLESS.has(note.symptom))
  const troubles = seen
    .flatMap((answer) => (answer.grade === 'holds' ? [] : [{ check: answer.check, state: answer.state, grade: answer.grade }]))
    .sort((a, b) => Number(b.grade === 'fails') - Number(a.grade === 'fails'))
  const stops = present.map((note) => note.symptom).filter((id) => STOPS.has(id))

  const grade: Grade =
    troubles.some((trouble) => trouble.grade === 'fails') || present.length > 0
      ? 'fails'
      : seen.length === 0
        ? 'none'
        : troubles.length > 0 || seen.length < wanted.length
          ? 'doubt'
          : 'holds'
  return { grade, seen: seen.length, wanted: wanted.length, troubles, stops }
}
