import { keepOne } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** A strap, a cord or a row of holes was set; the newest of a part and side that counts stands. */
export const set: ActKind<'set'> = {
  apply: (sheet, { id, body }) => {
    keepOne(sheet.settings, { ...body, id })
    settleMarks(sheet, 'setting', id)
  },
  ...takenBack('setting'),
  address: ({ id, body }) => put(`/settings/${id}`, body),
}
