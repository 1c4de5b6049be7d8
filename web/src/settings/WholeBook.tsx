import { useState } from 'react'
import { shopApi } from '../api/shop-api'
import { useAppDispatch } from '../app/store'
import { Button } from '../ui/controls/Button'
import { Snag } from '../ui/State'

/** The whole shop as one file: taken out, and brought back to an identical shop. */
export function WholeBook() {
  const dispatch = useAppDispatch()
  const [held, setHeld] = useState<{ name: string; text: string } | null>(null)
  const [said, setSaid] = useState<{ good: boolean; text: string } | null>(null)
  const bring = async (name: string, text: string, replace: boolean): Promise<void> => {
    setSaid(null)
    const answer = await fetch(`/api/book?replace=${replace ? 'yes' : 'no'}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: text,
    }).catch(() => null)
    if (!answer) return setSaid({ good: false, text: 'The server does not answer. Nothing was changed.' })
    const body = (await answer.json().catch(() => ({}))) as { code?: string; detail?: string; rows?: number }
    if (body.code === 'shop-not-empty') return setHeld({ name, text })
    setHeld(null)
    if (!answer.ok) return setSaid({ good: false, text: `${name}: ${body.detail ?? 'it cannot be read.'} Nothing was changed.` })
    dispatch(shopApi.util.resetApiState())
    setSaid({ good: true, text: `${name} is back: ${body.rows ?? 0} records.` })
  }
  return (
    <section aria-label="The whole book" className="border-t-2 border-ink pt-3">
      <h2 className="text-[19px] leading-6">The whole book</h2>
      <p className="text-mute">Every dog, tape, strike, photograph and size table in one file. Bringing it back makes the same shop again.</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <a href="/api/book" download="merry-tailor-book.json" className="inline-flex min-h-11 items-center border-2 border-ink px-4 font-bold hover:bg-bench">
          Copy it out
        </a>
        <label className="inline-flex min-h-11 cursor-pointer items-center border border-edge px-4 font-semibold focus-within:shadow-[inset_0_0_0_3px_var(--tape)] hover:bg-bench">
          Bring a copy back
          <input
            type="file"
            accept=".json,application/json"
            aria-label="A copy of the whole book"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0]
              event.target.value = ''
              if (file) void file.text().then((text) => bring(file.name, text, false))
            }}
          />
        </label>
      </div>
      {held && (
        <div className="mt-3">
          <Snag title="There is a book here already.">
            <p>Bringing {held.name} back replaces every record of this shop. Copy it out first if you may want it again.</p>
            <div className="mt-2 flex gap-2">
              <Button tone="snag" onClick={() => void bring(held.name, held.text, true)}>
                Replace this book
              </Button>
              <Button tone="quiet" onClick={() => setHeld(null)}>
                Leave it
              </Button>
            </div>
          </Snag>
        </div>
      )}
      {said && (
        <p
          role={said.good ? 'status' : 'alert'}
          className={`mt-2 border-l-[5px] px-3 py-2 ${said.good ? 'border-holds bg-holds-bg' : 'border-snag bg-snag-bg'}`}
        >
          {said.text}
        </p>
      )}
    </section>
  )
}
