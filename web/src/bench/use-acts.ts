import {
  NO_HISTORY,
  redo,
  undo,
  type Act,
  type Change,
  type MarkedKind,
  type NewAcknowledgement,
  type NewChoice,
  type NewHitch,
  type NewItem,
  type NewObservation,
  type NewReading,
  type NewSymptomNote,
  type NewSetUp,
  type NewSetting,
  type NewTryOn,
} from '@merry-tailor/core'
import { useMemo } from 'react'
import { v7 as uuid } from 'uuid'
import { useActMutation } from '../api/queries'
import { useAppDispatch, useAppSelector } from '../state/store'
import { became, did, refused } from '../state/history-slice'
import { useOpenTicket } from './open-ticket'

/** What became of an act: kept (by the server or here), or refused with the reason. */
export type Done = Promise<{ error?: unknown }>

/** Omits from each member of a union. */
type Unsigned<T> = T extends unknown ? Omit<T, 'at' | 'by'> : never

export interface Acts {
  /** Does an act that can be taken back. */
  act: (act: Act) => Done
  /** Appends a reading; `id` when the same one is sent again. */
  read: (body: NewReading, id?: string) => Done
  mark: (what: MarkedKind, about: string, kind: 'struck' | 'restored', why: string) => Done
  acknowledge: (body: Unsigned<NewAcknowledgement>) => Done
  /** Changes fields of the ticket, or of one of its items. */
  change: (changes: Change[], itemId?: string) => Done
  item: (body: Omit<NewItem, 'at'>) => Done
  choose: (body: Unsigned<NewChoice>, id?: string) => Done
  hitch: (body: Unsigned<NewHitch>) => Done
  setUp: (body: Unsigned<NewSetUp>, id?: string) => Done
  tryOn: (body: Unsigned<NewTryOn>, id?: string) => Done
  set: (body: Unsigned<NewSetting>) => Done
  observe: (roundId: string, body: Unsigned<NewObservation>) => Done
  symptom: (roundId: string, body: Unsigned<NewSymptomNote>) => Done
  undo: (() => void) | null
  redo: (() => void) | null
}

/** Every act on the open ticket goes through here: shown in the same frame, sent or kept, and remembered for undo. */
export function useActs(): Acts {
  const ticketId = useOpenTicket().sheet.ticket.id
  const by = useAppSelector((state) => state.settings.fitter)
  const history = useAppSelector((state) => state.history[ticketId] ?? NO_HISTORY)
  const dispatch = useAppDispatch()
  const [send] = useActMutation()
  return useMemo(() => {
    const signed = () => ({ id: uuid(), at: new Date().toISOString(), by })
    const act = async (each: Act): Done => {
      dispatch(did({ ticketId, act: each }))
      const answer = await send({ ticketId, act: each })
      if (answer.error) dispatch(refused({ ticketId, act: each }))
      return answer
    }
    const back = (step: typeof undo) => (): void => {
      const taken = step(history, signed())
      if (!taken) return
      dispatch(became({ ticketId, history: taken.history }))
      // Refused, it was never taken back: the history says so again.
      void send({ ticketId, act: taken.act }).then((answer) => {
        if (answer.error) dispatch(became({ ticketId, history }))
      })
    }
    return {
      act,
      read: (body, id = uuid()) => act({ act: 'read', id, body }),
      mark: (what, about, kind, why) => {
        const { id, at } = signed()
        return act({ act: 'mark', id, body: { what, about, kind, why, at, by } })
      },
      acknowledge: (body) => {
        const { id, at } = signed()
        return act({ act: 'acknowledge', id, body: { ...body, at, by } })
      },
      change: (changes, itemId) => act({ act: 'change', changes, ...(itemId === undefined ? {} : { itemId }) }),
      item: (body) => {
        const { id, at } = signed()
        return act({ act: 'item', id, body: { ...body, at } })
      },
      choose: (body, id = uuid()) => act({ act: 'choose', id, body: { ...body, at: signed().at, by } }),
      hitch: (body) => {
        const { id, at } = signed()
        return act({ act: 'hitch', id, body: { ...body, at, by } })
      },
      setUp: (body, id = uuid()) => act({ act: 'set-up', id, body: { ...body, at: signed().at, by } }),
      tryOn: (body, id = uuid()) => act({ act: 'try-on', id, body: { ...body, at: signed().at, by } }),
      set: (body) => {
        const { id, at } = signed()
        return act({ act: 'set', id, body: { ...body, at, by } })
      },
      observe: (roundId, body) => {
        const { id, at } = signed()
        return act({ act: 'observe', id, roundId, body: { ...body, at, by } })
      },
      symptom: (roundId, body) => {
        const { id, at } = signed()
        return act({ act: 'symptom', id, roundId, body: { ...body, at, by } })
      },
      undo: history.done.length > 0 ? back(undo) : null,
      redo: history.undone.length > 0 ? back(redo) : null,
    }
  }, [by, dispatch, history, send, ticketId])
}
