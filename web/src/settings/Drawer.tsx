import { format, parseISO } from 'date-fns'
import { useState } from 'react'
import { useCopiesQuery, useMakeCopyMutation } from '../api/queries'
import { Button } from '../ui/controls/Button'
import { DAMAGED_BOOK } from '../words/damaged-book'
import { problemWords } from '../words/problems'
import { BringBack, SaidLine, withPassphrase, type Said } from './BringBack'
import { Problem } from '../ui/controls/Problem'

/** The copies in the drawer: made every night, kept a week, a month and a year long, each checked; one is brought back in one act. */
export function Drawer({ onBack }: { onBack: () => void }) {
  const { data, refetch } = useCopiesQuery(undefined)
  const [make, { isLoading }] = useMakeCopyMutation()
  const [asked, setAsked] = useState<{ name: string; at: string; newer: Record<string, number> } | null>(null)
  const [wrong, setWrong] = useState<string | null>(null)
  const [said, setSaid] = useState<Said | null>(null)
  const copies = data?.copies ?? []
  const look = async (name: string): Promise<void> => {
    const answer = await fetch(`/api/copies/${name}`).catch(() => null)
    if (answer?.ok) setAsked((await answer.json()) as { name: string; at: string; newer: Record<string, number> })
    else setSaid({ good: false, text: 'The copy can’t be looked at just now.' })
  }
  const bring = async (name: string, passphrase: string): Promise<void> => {
    const answer = await fetch(`/api/copies/${name}/bring-back?replace=yes`, { method: 'PUT', headers: withPassphrase(passphrase) }).catch(() => null)
    const body = (await answer?.json().catch(() => ({}))) as { code?: string; detail?: string } | undefined
    const asksAgain = body?.code === 'wrong-passphrase' || body?.code === 'too-many-tries'
    setWrong(asksAgain ? (body.detail ?? null) : null)
    if (asksAgain) return
    setAsked(null)
    if (!answer?.ok) return setSaid({ good: false, text: `${body?.detail ?? 'The server does not answer.'} Nothing was changed.` })
    setSaid({ good: true, text: 'The book is back as it was then.' })
    refetch()
    onBack()
  }
  return (
    <section aria-label="Copies in the drawer" className="border-t-2 border-ink pt-3">
      <h2 className="text-[19px] leading-6">Copies in the drawer</h2>
      {data && !data.canCopy ? (
        <p className="text-mute">This book is kept in memory only and has no copies.</p>
      ) : (
        <>
          <p className="text-mute">
            Made every night by itself, when the book is looked through too, and before anything that changes all; checked; kept for 7 days, 4 weeks and 12
            months
            {data ? `, in ${data.folder}` : ''}. A stick or a folder another computer keeps in step is a safer place: name it under Folder for copies.
          </p>
          {data?.damage && (
            <Problem barred className="mt-2">
              <b>{DAMAGED_BOOK.title}</b> Found: {data.damage}. {DAMAGED_BOOK.todo}
            </Problem>
          )}
          {data?.failure && (
            <Problem barred className="mt-2">
              <b>The last copy could not be made.</b> {data.failure}
            </Problem>
          )}
          <ul className="mt-2">
            {copies.slice(0, 12).map((copy) => (
              <li key={copy.name} className="flex flex-wrap items-center justify-between gap-x-3 border-b border-rule py-1">
                <span>
                  <b>{format(parseISO(copy.at), 'd MMM yyyy, HH:mm')}</b>{' '}
                  <span className="text-mute">{copy.records < 0 ? 'damaged' : `${copy.records.toLocaleString('en')} records, checked`}</span>
                </span>
                {copy.records >= 0 && (
                  <button type="button" onClick={() => void look(copy.name)} className="min-h-11 px-2 font-semibold underline">
                    Bring back
                  </button>
                )}
              </li>
            ))}
            {copies.length === 0 && <li className="py-1 text-mute">None yet. The first is made tonight.</li>}
          </ul>
          <Button
            className="mt-2"
            onClick={() => {
              if (!isLoading) void make(undefined).then(({ error }) => setSaid(error ? { good: false, text: problemWords(error) } : null))
            }}
          >
            {isLoading ? 'Copying' : 'Make a copy now'}
          </Button>
        </>
      )}
      {asked && (
        <BringBack
          title="Bring this copy back?"
          look={asked}
          does="Every record is replaced by the copy’s. The book as it is now goes into the drawer first."
          yes="Bring it back"
          wrong={wrong}
          onYes={(passphrase) => void bring(asked.name, passphrase)}
          onNo={() => setAsked(null)}
        />
      )}
      {said && <SaidLine said={said} />}
    </section>
  )
}
