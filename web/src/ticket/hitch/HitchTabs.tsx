import type { FamilyId } from '@merry-tailor/core'
import { useNavigate } from 'react-router'
import { useOpenTicket } from '../../bench'
import { Segmented } from '../../ui/controls/Segmented'

/** Kinds that draw a cart, a sled or a drag behind bar and shafts. */
const DRAWS: ReadonlySet<FamilyId> = new Set(['H22', 'H23'])

/** Between the line to a hitch, what a drafting harness draws, and two dogs before one rig. */
export function HitchTabs({ family, now }: { family: FamilyId | null; now: 'hitch' | 'draft' | 'pair' }) {
  const { sheet } = useOpenTicket()
  const navigate = useNavigate()
  if (now === 'hitch' && (family === null || !DRAWS.has(family))) return null
  return (
    <Segmented
      label="What is set up"
      value={now}
      options={[
        { value: 'hitch', label: 'Line' },
        { value: 'draft', label: 'Draft' },
        { value: 'pair', label: 'Pair' },
      ]}
      onChange={(room) => void navigate(`/tickets/${sheet.ticket.id}/${room}`)}
    />
  )
}
