import { keepOne, type Mark } from '../model/index.ts'
import { put, type ActKind } from './act.ts'
import { settleMarks } from './settle-marks.ts'

/** A fact was struck out or restored; every mark stays, the newest decides. */
export const mark: ActKind<'mark'> = {
  apply: (sheet, { id, body }) => {
    keepOne<Mark>(sheet.marks, { ...body, id })
    settleMarks(sheet, body.what, body.about)
  },
  inverse: ({ body }, { id, at, by }) => {
    const kind = body.kind === 'struck' ? 'restored' : 'struck'
    return { act: 'mark', id, body: { ...body, kind, why: kind === 'restored' ? 'Put back' : 'Taken back', at, by } }
  },
  again: ({ body }, { id, at, by }) => ({ act: 'mark', id, body: { ...body, at, by } }),
  address: ({ id, body }) => put(`/marks/${id}`, body),
}
