import { keepOne } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { takenBack } from './fact.ts'
import { settleMarks } from './settle-marks.ts'

/** A check was answered at the dog; the newest answer that counts stands. */
export const observe: ActKind<'observe'> = {
  apply: (sheet, { id, roundId, body }) => {
    const round = sheet.tryOns.find((each) => each.id === roundId)
    if (!round) return
    keepOne(round.observations, { ...body, id })
    settleMarks(sheet, 'observation', id)
  },
  ...takenBack('observation'),
  address: ({ id, roundId, body }) => put(`/try-ons/${roundId}/observations/${id}`, body),
}
