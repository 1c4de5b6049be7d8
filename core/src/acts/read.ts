import { keepOne, PLAIN_CIRCUMSTANCES, type Reading } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** A tape was laid on. */
export const read: ActKind<'read'> = {
  apply: (sheet, { id, body }) => {
    keepOne<Reading>(sheet.readings, { ...PLAIN_CIRCUMSTANCES, ...body, id })
    settleMarks(sheet, 'reading', id)
  },
  ...takenBack('reading', 'Unpinned'),
  address: ({ id, body }) => put(`/readings/${id}`, body),
}
