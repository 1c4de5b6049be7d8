import { keepOne, type AsWritten } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** A number came under somebody else's letters. */
export const writeDown: ActKind<'write-down'> = {
  apply: (sheet, { id, body }) => {
    keepOne<AsWritten>(sheet.asWritten, { ...body, id, became: null })
    settleMarks(sheet, 'as-written', id)
  },
  ...takenBack('as-written'),
  address: ({ id, body }) => put(`/as-written/${id}`, body),
}
