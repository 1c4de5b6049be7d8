import { useState } from 'react'
import { useAccess } from '../api/access'
import { Button } from '../ui/controls/Button'
import { TextField } from '../ui/controls/TextField'
import { Snag } from '../ui/State'
import { longDay } from '../state/today'

/** What a copy would bring and what here would be gone, as the server says it. */
export interface Look {
  shop: string
  at: string
  counts: Record<string, number>
  same: boolean
  empty: boolean
  newer: Record<string, number>
}

/** What came of it. */
export interface Said {
  good: boolean
  text: string
}

/** `41 readings and 3 tickets`. */
function countWords(counts: Readonly<Record<string, number>>): string {
  const parts = Object.entries(counts).map(([word, n]) => `${n} ${n === 1 ? word.replace(/s$/, '') : word}`)
  return parts.length <= 1 ? (parts[0] ?? 'nothing') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1) ?? ''}`
}

interface BringBackProps {
  title: string
  look: (Pick<Look, 'at' | 'newer'> & Partial<Look>) | null
  /** What it would do, in a sentence. */
  does: string
  yes: string
  /** What was wrong with the passphrase; `null` for nothing. */
  wrong?: string | null
  /** With the shop's passphrase, `''` where it has none. */
  onYes: (passphrase: string) => void
  onNo: () => void
}

/** Asks before a copy replaces the book: whose it is, what here is newer, what becomes of it. */
export function BringBack({ title, look, does, yes, wrong = null, onYes, onNo }: BringBackProps) {
  const asks = useAccess().access?.set === true
  const [typed, setTyped] = useState('')
  return (
    <div className="mt-3">
      <Snag title={title}>
        <CopySays look={look} />
        <p>{does}</p>
        {asks && (
          <TextField
            label="The shop’s passphrase, once more"
            type="password"
            autoComplete="current-password"
            value={typed}
            maxLength={200}
            problem={wrong ?? undefined}
            onChange={(event) => setTyped(event.target.value)}
            className="mt-2"
          />
        )}
        <div className="mt-2 flex gap-2">
          <Button tone="snag" onClick={() => onYes(typed)}>
            {yes}
          </Button>
          <Button tone="quiet" onClick={onNo}>
            Leave it
          </Button>
        </div>
      </Snag>
    </div>
  )
}

/** The passphrase as a request carries it. */
export const withPassphrase = (passphrase: string): Record<string, string> => (passphrase === '' ? {} : { 'merry-passphrase': encodeURIComponent(passphrase) })

/** What came of a copy, good or bad. */
export function SaidLine({ said }: { said: Said }) {
  return (
    <p role={said.good ? 'status' : 'alert'} className={`mt-2 border-l-[5px] px-3 py-2 ${said.good ? 'border-holds bg-holds-bg' : 'border-snag bg-snag-bg'}`}>
      {said.text}
    </p>
  )
}

/** Whose the copy is, of when, how much is in it, and what here is newer. */
function CopySays({ look }: { look: (Pick<Look, 'at' | 'newer'> & Partial<Look>) | null }) {
  if (!look) return <p>This copy is of an earlier version and does not say of when it is.</p>
  const records = Object.values(look.counts ?? {}).reduce((sum, n) => sum + n, 0)
  return (
    <p>
      This copy{look.shop ? ` of ${look.shop}` : ''} is from {longDay(look.at.slice(0, 10))}
      {records > 0 ? `, ${records.toLocaleString('en')} records` : ''}. {look.same === false && 'It is of another book than this one. '}
      {Object.keys(look.newer).length > 0 ? <b>Newer here: {countWords(look.newer)}.</b> : 'Nothing here is newer.'}
    </p>
  )
}
