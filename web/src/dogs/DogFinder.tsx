import { Button } from '../ui/controls/Button'
import { TextField } from '../ui/controls/TextField'
import type { DogFinding } from './use-dog-finder'

/** The name field over a long list of dogs. */
export function DogFinder({ finding }: { finding: DogFinding }) {
  if (!finding.useful) return null
  return <TextField label="Find a dog" value={finding.typed} onChange={(event) => finding.type(event.target.value)} className="max-w-[388px]" />
}

/** The foot of a long list of dogs: what is left, and a way to it. */
export function MoreDogs({ finding }: { finding: DogFinding }) {
  if (finding.useful && finding.shown.length === 0) return <p className="px-4 py-3 text-mute">No dog by that name here.</p>
  if (finding.left === 0) return null
  return (
    <div className="px-4 py-3">
      <Button tone="quiet" onClick={finding.more}>
        {finding.left} more; show the next {finding.next}
      </Button>
    </div>
  )
}
