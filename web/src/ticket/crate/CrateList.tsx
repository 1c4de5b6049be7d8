import type { SizedCrate } from '@merry-tailor/core'
import { Mark } from '../../ui/marks/Mark'
import { CLEARANCE_NAMES } from '../../words/clearances'
import { verdictWord } from '../../words/verdicts'

interface CrateListProps {
  sizes: readonly SizedCrate[]
  kind: string
  current: string
  measured: (label: string) => boolean
  onPick: (label: string) => void
}

/** None missed first, then most held; of those alike the smaller. */
export function inOrderOfClearance(sizes: readonly SizedCrate[]): SizedCrate[] {
  const count = ({ checks }: SizedCrate, grade: string): number => checks.filter((each) => each.grade === grade).length
  return [...sizes].sort((a, b) => count(a, 'fails') - count(b, 'fails') || count(a, 'doubt') - count(b, 'doubt'))
}

/** Crates by the clearances they hold: a row each, a mark each. */
export function CrateList({ sizes, kind, current, measured, onPick }: CrateListProps) {
  return (
    <ol aria-label="Crates, none missed first">
      {inOrderOfClearance(sizes).map(({ label, checks, grade }) => (
        <li key={label} className="border-b border-rule">
          <button
            type="button"
            aria-pressed={label === current}
            onClick={() => onPick(label)}
            className="grid min-h-[54px] w-full grid-cols-[82px_1fr] items-center gap-2 border-l-[5px] border-transparent px-2.5 text-left aria-pressed:border-ink aria-pressed:bg-bench"
          >
            <span>
              <b className="block text-[17px] leading-5">
                {kind} {label}
              </b>
              <span className="text-[13.5px] leading-4 text-mute">{measured(label) ? 'measured' : 'by its label'}</span>
            </span>
            <span className="flex flex-wrap gap-x-0.5 gap-y-0.5">
              {checks.map((check) => (
                <span key={check.check} title={`${CLEARANCE_NAMES[check.check]}: ${verdictWord(check.grade, 'predicted')}`}>
                  <Mark grade={check.grade} basis="predicted" size={14} />
                </span>
              ))}
              <span className="sr-only">
                {verdictWord(grade, 'predicted')}:{' '}
                {checks.map((check) => `${CLEARANCE_NAMES[check.check]} ${verdictWord(check.grade, 'predicted').toLowerCase()}`).join(', ')}
              </span>
            </span>
          </button>
        </li>
      ))}
    </ol>
  )
}
