import { v7 as uuid } from 'uuid'
import { useNavigate } from 'react-router'
import { useAddTicketMutation } from '../api/queries'
import { useAppSelector } from './store'
import { typeAhead } from './typed-ahead'
import { useOnce } from './use-once'

/** Opens a new ticket and goes to its first stage. */
export function useNewTicket(): (about: { dogId?: string }) => Promise<void> {
  const navigate = useNavigate()
  const [addTicket] = useAddTicketMutation()
  const by = useAppSelector((state) => state.settings.fitter)
  const once = useOnce()
  return async ({ dogId }) => {
    await once(async () => {
      const id = uuid()
      if (dogId === undefined) typeAhead()
      // What is typed before it is there goes into its first field.
      const made = await addTicket({ id, body: { dogId: dogId ?? null, ownerId: null, kind: 'real', at: new Date().toISOString(), by } })
      if (!made.error) await navigate(`/tickets/${id}/ask`)
    })
  }
}
