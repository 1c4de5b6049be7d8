import type { Form } from '../form/index.ts'

/** A measure as sizing needs it. `guess`: never read on this dog, only expected from its form. */
export interface SizedMeasure {
  mm: number | null
  sigmaMm: number | null
  guess?: boolean
}

/** Agreed values and guesses by measure ID, mm. */
export type SizedBody = Readonly<Record<string, SizedMeasure | undefined>>

/**
 * What was read, and for what was not what the form expects, marked as a guess.
 *
 * @param form `null`: nothing is guessed
 */
export function withGuesses(body: SizedBody, form: Pick<Form, 'measures'> | null): SizedBody {
  if (!form) return body
  const guesses = Object.entries(form.measures).flatMap(([id, { mm, sigmaMm }]) =>
    body[id]?.mm == null && Number.isFinite(mm) ? [[id, { mm, sigmaMm, guess: true }] as const] : [],
  )
  return { ...body, ...Object.fromEntries(guesses) }
}
