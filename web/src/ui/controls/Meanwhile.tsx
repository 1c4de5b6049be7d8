import { Button } from './Button'
import type { SavedDraft } from './use-saved-draft'

/** Two people edited one field: both are shown, and which stands is asked. */
export function Meanwhile({ saved }: { saved: SavedDraft }) {
  if (saved.theirs === null) return null
  return (
    <div role="alert" className="mt-1 border-l-[5px] border-snag bg-snag-bg px-3 py-2">
      <p className="font-semibold">
        Meanwhile somebody set it to “{saved.theirs || 'nothing'}”; you typed “{saved.shown}”.
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={saved.keepMine}>Keep mine</Button>
        <Button tone="quiet" onClick={saved.drop}>
          Take theirs
        </Button>
      </div>
    </div>
  )
}
