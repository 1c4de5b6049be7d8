import type { Change } from '@merry-tailor/core'
import type { SaveResult } from '../ui/controls/SavedField'
import { problemOf, problemWords } from '../words/problems'

interface Answer {
  error?: unknown
}

const asText = (value: unknown): string => (value === null || value === undefined ? '' : typeof value === 'string' ? value : JSON.stringify(value))

/** Sends one field's change and turns the answer into what the field shows. */
export async function saveField(send: (changes: Change[]) => PromiseLike<Answer>, field: string, from: unknown, to: unknown): Promise<SaveResult> {
  const { error } = await send([{ field, from: from, to: to }])
  if (!error) return { kept: true }
  const conflict = problemOf(error)?.conflicts?.find((each) => each.field === field)
  if (conflict) return { kept: false, problem: 'Changed meanwhile.', theirs: asText(conflict.theirs) }
  return { kept: false, problem: `Not saved. ${problemWords(error)} It stays here.` }
}
