import { keepOne } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** The other end of the line was fixed. */
export const hitch: ActKind<'hitch'> = {
  apply: (sheet, { id, body }) => {
    keepOne(sheet.hitches, { ...body, id })
    settleMarks(sheet, 'hitch', id)
  },
  ...takenBack('hitch'),
  address: ({ id, body }) => put(`/hitches/${id}`, body),
}
