import { useState } from 'react'
import { BringBack, SaidLine, withPassphrase, type Look, type Said } from './BringBack'

/** The head of a copy is its first line; an old one has none. */
async function headOf(file: Blob): Promise<unknown> {
  const start = await file.slice(0, 64 * 1024).text()
  const [line = ''] = start.split('\n')
  try {
    return JSON.parse(line) as unknown
  } catch {
    return null
  }
}

/** The whole shop as one file: taken out, and brought back to an identical shop after a look at what that would change. */
export function WholeBook({ onBack }: { onBack: () => void }) {
  const [held, setHeld] = useState<{ file: File; look: Look | null } | null>(null)
  const [busy, setBusy] = useState(false)
  const [wrong, setWrong] = useState<string | null>(null)
  const [said, setSaid] = useState<Said | null>(null)
  const bring = async (file: File, replace: boolean, passphrase = ''): Promise<void> => {
    setSaid(null)
    setBusy(true)
    const head = await headOf(file)
    const type = head === null || (head as { tables?: unknown }).tables !== undefined ? 'application/json' : 'application/x-ndjson'
    const answer = await fetch(`/api/book?replace=${replace ? 'yes' : 'no'}`, {
      method: 'PUT',
      headers: { 'content-type': type, ...withPassphrase(passphrase) },
      body: file,
    }).catch(() => null)
    setBusy(false)
    if (!answer) return setSaid({ good: false, text: 'The server does not answer. Nothing was changed.' })
    const body = (await answer.json().catch(() => ({}))) as { code?: string; detail?: string; rows?: number }
    if (body.code === 'shop-not-empty') return setHeld({ file, look: await lookAt(head) })
    const asksAgain = body.code === 'wrong-passphrase' || body.code === 'too-many-tries'
    setWrong(asksAgain ? (body.detail ?? null) : null)
    if (asksAgain) return
    setHeld(null)
    if (!answer.ok) return setSaid({ good: false, text: `${file.name}: ${body.detail ?? 'it cannot be read.'} Nothing was changed.` })
    setSaid({ good: true, text: `${file.name} is back: ${body.rows ?? 0} records.` })
    onBack()
  }
  const lookAt = async (head: unknown): Promise<Look | null> => {
    if (head === null) return null
    const answer = await fetch('/api/book/look', { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(head) }).catch(
      () => null,
    )
    return answer?.ok ? ((await answer.json()) as Look) : null
  }
  return (
    <section aria-label="The whole book" className="border-t-2 border-ink pt-3">
      <h2 className="text-[19px] leading-6">The whole book</h2>
      <p className="text-mute">Every dog, tape, strike, photograph and size table in one file. Bringing it back makes the same shop again.</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <a href="/api/book" download className="inline-flex min-h-11 items-center border-2 border-ink px-4 font-bold hover:bg-bench">
          Copy it out
        </a>
        <label className="inline-flex min-h-11 cursor-pointer items-center border border-edge px-4 font-semibold focus-within:shadow-[inset_0_0_0_3px_var(--tape)] hover:bg-bench">
          {busy ? 'Reading it' : 'Bring a copy back'}
          <input
            type="file"
            accept=".book,.json,application/json,application/x-ndjson"
            aria-label="A copy of the whole book"
            className="sr-only"
            disabled={busy}
            onChange={(event) => {
              const file = event.target.files?.[0]
              event.target.value = ''
              if (file) void bring(file, false)
            }}
          />
        </label>
      </div>
      {held && (
        <BringBack
          title="There is a book here already."
          look={held.look}
          does={`Bringing ${held.file.name} back replaces every record of this shop. A copy of it as it is now goes into the drawer first.`}
          yes="Replace this book"
          wrong={wrong}
          onYes={(passphrase) => void bring(held.file, true, passphrase)}
          onNo={() => setHeld(null)}
        />
      )}
      {said && <SaidLine said={said} />}
    </section>
  )
}
