/** A named bad cell or field; nothing is half imported. */
export interface DocumentProblem {
  /** Where: a line and column for CSV, a path for JSON. */
  at: string
  message: string
}

export type ReadDocument<T> = { ok: true; value: T } | { ok: false; problems: DocumentProblem[] }
