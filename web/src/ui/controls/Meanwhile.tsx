import { Button } from './Button'

interface MeanwhileProps {
  theirs: string
  mine: string
  onKeepMine: () => void
  onTakeTheirs: () => void
}

/** Two people edited one field: both are shown, and which stands is asked. */
export function Meanwhile({ theirs, mine, onKeepMine, onTakeTheirs }: MeanwhileProps) {
  return (
    <div role="alert" className="mt-1 border-l-[5px] border-snag bg-snag-bg px-3 py-2">
      <p className="font-semibold">
        Meanwhile somebody set it to “{theirs || 'nothing'}”; you typed “{mine}”.
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button onClick={onKeepMine}>Keep mine</Button>
        <Button tone="quiet" onClick={onTakeTheirs}>
          Take theirs
        </Button>
      </div>
    </div>
  )
}
