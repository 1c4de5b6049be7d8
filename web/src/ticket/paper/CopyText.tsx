import { useState } from 'react'
import { Button } from '../../ui/controls/Button'

/** Puts a page's words where a mail can take them; where the browser gives no such place they are shown to be copied. */
export function CopyText({ text }: { text: () => string }) {
  const [state, setState] = useState<'idle' | 'copied' | 'shown'>('idle')
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(text())
      setState('copied')
    } catch {
      setState('shown')
    }
  }
  return (
    <div className="mb-3 print:hidden">
      <p className="flex flex-wrap items-center gap-3">
        <Button onClick={() => void copy()}>Copy as text</Button>
        <span role="status">{state === 'copied' ? 'Copied: paste it into the mail.' : ''}</span>
      </p>
      {state === 'shown' && (
        <textarea
          readOnly
          aria-label="The page as text"
          rows={12}
          value={text()}
          onFocus={(event) => event.currentTarget.select()}
          className="mt-2 w-full border-2 border-ink p-2 text-[15px]"
        />
      )}
    </div>
  )
}
