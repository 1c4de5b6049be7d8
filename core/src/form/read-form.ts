import type { Body } from '../measures/index.ts'
import type { About } from './about.ts'
import { bestNext, type NextTape } from './best-next.ts'
import { judge, type CrossCheck, type CrossCheckOptions } from './cross-check.ts'
import type { Form } from './form-type.ts'
import { fitOf, formOf } from './solve-form.ts'

/** What a bench wants to know at every pin, from one solve. */
export interface FormReading {
  form: Form
  check: CrossCheck
  /** Tapes not yet taken, the one that narrows the wanted measures most first. */
  next: NextTape[]
}

export interface FormQuestion extends CrossCheckOptions {
  wanted?: readonly string[]
  candidates?: readonly string[]
}

/** Solves, cross-checks and proposes the next tape. */
export function readForm(body: Body, about: About | null, question: FormQuestion = {}): FormReading {
  const solved = fitOf(body, about, question.earlier ?? [])
  const form = formOf(solved.fit, solved.kind, solved.names)
  return { form, check: judge(solved, form, question), next: bestNext(form, question.wanted ?? [], question.candidates ?? []) }
}
