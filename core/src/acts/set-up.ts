import { keepOne } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** What an item’s harness draws was fixed. */
export const setUp: ActKind<'set-up'> = {
  apply: (sheet, { id, body }) => {
    keepOne(sheet.setUps, { ...body, id })
    settleMarks(sheet, 'set-up', id)
  },
  ...takenBack('set-up'),
  address: ({ id, body }) => put(`/set-ups/${id}`, body),
}
