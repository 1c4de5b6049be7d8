import { v7 as uuid } from 'uuid'
import { useNavigate } from 'react-router'
import { useAddTicketMutation } from '../api/shop-api'
import { useAppSelector } from './store'

/** Opens a new ticket and goes to its first stage. */
export function useNewTicket(): (about: { counter: boolean; dogId?: string }) => Promise<void> {
  const navigate = useNavigate()
  const [addTicket] = useAddTicketMutation()
  const by = useAppSelector((state) => state.settings.fitter)
  return async ({ counter, dogId }) => {
    const id = uuid()
    const made = await addTicket({ id, body: { dogId: dogId ?? null, ownerId: null, counter, at: new Date().toISOString(), by } })
    if (!made.error) await navigate(`/tickets/${id}/ask`)
  }
}
