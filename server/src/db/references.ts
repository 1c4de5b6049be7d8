import { ProblemError } from '../problems.ts'

/** Turns "not found" of something a request points at into a refusal of the request. */
export function requireReference(find: () => unknown, path: string): void {
  try {
    find()
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    throw new ProblemError('unknown-reference', error.message, { fields: [{ path, message: error.message }] })
  }
}
