import { keepOne } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** A symptom was noted, or noted gone; the newest note that counts stands. */
export const symptom: ActKind<'symptom'> = {
  apply: (sheet, { id, roundId, body }) => {
    const round = sheet.tryOns.find((each) => each.id === roundId)
    if (!round) return
    keepOne(round.symptoms, { ...body, id })
    settleMarks(sheet, 'symptom', id)
  },
  ...takenBack('symptom'),
  address: ({ id, roundId, body }) => put(`/try-ons/${roundId}/symptoms/${id}`, body),
}
