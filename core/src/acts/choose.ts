import { keepOne, type Choice } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** An item was settled on something; the newest that counts is the choice. */
export const choose: ActKind<'choose'> = {
  apply: (sheet, { id, body }) => {
    keepOne<Choice>(sheet.choices, { ...body, id })
    settleMarks(sheet, 'choice', id)
  },
  ...takenBack('choice'),
  address: ({ id, body }) => put(`/choices/${id}`, body),
}
