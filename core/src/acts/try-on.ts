import { keepOne, type TryOn } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** Something was put on the dog: a round began. */
export const tryOn: ActKind<'try-on'> = {
  apply: (sheet, { id, body }) => {
    keepOne<TryOn>(sheet.tryOns, { foretold: null, moves: null, seconds: null, ...body, id, observations: [], symptoms: [] })
    settleMarks(sheet, 'try-on', id)
  },
  ...takenBack('try-on'),
  address: ({ id, body }) => put(`/try-ons/${id}`, body),
}
