import { keepOne } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** A caution was read, a stop overruled, or a finding kept as the dog's own. */
export const acknowledge: ActKind<'acknowledge'> = {
  apply: (sheet, { id, body }) => {
    keepOne(sheet.acknowledgements, { ...body, id })
    settleMarks(sheet, 'acknowledgement', id)
  },
  ...takenBack('acknowledgement'),
  address: ({ id, body }) => put(`/acknowledgements/${id}`, body),
}
