import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'

/** The sender answered: the number became a reading. An answer counts as long as its reading does. */
export const answer: ActKind<'answer'> = {
  apply: (sheet, { id, body }) => {
    const written = sheet.asWritten.find((each) => each.id === id)
    if (written) written.became ??= body
  },
  inverse: ({ body }, signed) => takenBack('reading', 'Answer taken back').inverse({ id: body.readingId }, signed),
  again: ({ body }, signed) => takenBack('reading').again({ id: body.readingId }, signed),
  address: ({ id, body }) => put(`/as-written/${id}/answer`, body),
}
