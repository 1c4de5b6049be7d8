import type { Item } from '@merry-tailor/core'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddTryOnMutation } from '../../api/shop-api'
import { useAppSelector } from '../../app/store'
import { Picker } from '../../ui/controls/Picker'
import { TextField } from '../../ui/controls/TextField'
import { problemWords } from '../../words/problems'
import { useRanked } from '../choose/use-ranked'
import { useOpenTicket } from '../TicketFrame'

/** Begins a round: the size put on, and what was changed since the one before. */
export function NewRound({ item, onMade }: { item: Item; onMade: (id: string) => void }) {
  const { sheet, name } = useOpenTicket()
  const { ranked, choice } = useRanked(item)
  const fitter = useAppSelector((state) => state.settings.fitter)
  const [addTryOn] = useAddTryOnMutation()
  const rounds = sheet.tryOns.filter((round) => round.itemId === item.id)
  const tried = rounds.map((round) => round.label)
  const wish = choice?.labels.find((label) => !tried.includes(label)) ?? rounds.at(-1)?.label ?? choice?.labels[0] ?? ranked[0]?.best?.label ?? ''
  const wishTable = choice?.tableId ?? rounds.at(-1)?.tableId ?? ranked[0]?.table.id ?? ''
  const [picked, setPicked] = useState<string | null>(null)
  const [other, setOther] = useState('')
  const [changed, setChanged] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const sizes = ranked.flatMap((each) =>
    each.table.sizes.map((size) => ({ value: `${each.table.id}|${size.label}`, label: size.label, note: each.table.maker, table: each.table })),
  )
  const value = picked ?? (sizes.some((size) => size.value === `${wishTable}|${wish}`) ? `${wishTable}|${wish}` : (sizes[0]?.value ?? 'other'))
  const size = sizes.find((each) => each.value === value)
  const label = size?.label ?? other.trim()

  const begin = async (): Promise<void> => {
    if (!label) {
      setProblem('Name the size that is on the dog.')
      return
    }
    const id = uuid()
    const made = await addTryOn({
      ticketId: sheet.ticket.id,
      id,
      body: {
        itemId: item.id,
        tableId: size?.table.id ?? '',
        tableVersion: size?.table.version ?? null,
        label,
        changed: changed.trim(),
        at: new Date().toISOString(),
        by: fitter,
      },
    })
    if (made.error) {
      setProblem(`Not saved. ${problemWords(made.error)}`)
      return
    }
    setChanged('')
    setPicked(null)
    onMade(id)
  }
  return (
    <form
      className="shrink-0 space-y-2 border-t-2 border-ink p-3"
      onSubmit={(event) => {
        event.preventDefault()
        void begin()
      }}
    >
      <Picker label="Size to put on" value={value} options={[...sizes, { value: 'other', label: 'Another piece' }]} onChange={setPicked} className="w-full" />
      {!size && <TextField label="Its name or size" value={other} maxLength={40} onChange={(event) => setOther(event.target.value)} />}
      {rounds.length > 0 && (
        <TextField
          label="What was changed since?"
          value={changed}
          maxLength={300}
          placeholder="Girth strap let out, both sides"
          onChange={(event) => setChanged(event.target.value)}
        />
      )}
      {problem && (
        <p role="alert" className="font-semibold text-snag">
          {problem}
        </p>
      )}
      <button type="submit" className="min-h-14 w-full rounded-[2px] border-2 border-ink bg-tape px-4 text-left text-[18px] font-bold text-tape-ink">
        {rounds.length === 0 ? `Put ${label || 'it'} on ${name}` : `New round with ${label || 'it'}`}
      </button>
    </form>
  )
}
