import { resources, type Acknowledgement, type NewAcknowledgement } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { addFact } from './facts.ts'
import type { Db } from './open.ts'
import { requireOpenTicket } from './tickets.ts'

/** Keeps who read which text, and when. A stop is overruled only with a typed reason. */
export const addAcknowledgement = (db: Db, ticketId: string, id: string, ack: NewAcknowledgement): Acknowledgement =>
  addFact(db, resources.acknowledgements, { ...ack, id }, { ticketId }, () => {
    requireOpenTicket(db, ticketId)
    if (ack.kind === 'stop' && ack.reason.trim() === '') {
      throw new ProblemError('reason-needed', 'Say why the stop does not bind here; it is printed on the docket.', {
        fields: [{ path: 'reason', message: 'a reason is needed' }],
      })
    }
  })
