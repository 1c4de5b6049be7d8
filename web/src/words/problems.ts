import type { LengthProblem, ParsedWeight, Problem } from '@merry-tailor/core'

interface Failure {
  status?: number | string
  data?: Partial<Problem>
}

/** The coded refusal a request ended with, if the server gave one. */
export const problemOf = (failure: unknown): Partial<Problem> | null => (failure as Failure | undefined)?.data ?? null

/** What happened, in the product's voice. */
export function problemWords(failure: unknown): string {
  const { status, data } = (failure ?? {}) as Failure
  if (status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR') return 'The server does not answer.'
  if (data?.detail) return data.detail
  return 'The server could not keep it.'
}

const LENGTHS: Readonly<Record<LengthProblem, string>> = {
  empty: 'Nothing typed yet.',
  unreadable: 'Can’t read that as a length. Try 13 1/2, 13.5 or 34.5 cm.',
  'not-positive': 'A tape reads more than nothing.',
  'too-long': 'Longer than 3 m. One digit too many?',
}
export const lengthProblemWords = (problem: LengthProblem): string => LENGTHS[problem]

const WEIGHTS: Readonly<Record<Extract<ParsedWeight, { ok: false }>['problem'], string>> = {
  empty: '',
  unreadable: 'Can’t read that as a weight. Try 27.3 or 60 lb.',
  'not-positive': 'A dog weighs more than nothing.',
  'too-heavy': 'Over 150 kg. Is the decimal point in place?',
}
export const weightProblemWords = (problem: keyof typeof WEIGHTS): string => WEIGHTS[problem]
