import type { Grade } from '@merry-tailor/core'
import { useState } from 'react'
import { Mark } from '../../ui/marks/Mark'
import { CLEARANCE_NAMES } from '../../words/clearances'
import { verdictWord } from '../../words/verdicts'
import { DISC } from './CrateViews'
import { KINDS } from './crate-kinds'
import type { CrateChoice } from './use-crate-choices'

interface CrateListProps {
  choices: readonly CrateChoice[]
  current: string
  /** So many rows are shown at first; the rest when asked for. */
  first: number
  onPick: (key: string) => void
}

/** Every clearance of a crate in the order of its numbers, the car's opening among them. */
const marksOf = ({ checks, opening }: Pick<CrateChoice, 'checks' | 'opening'>): { n: number; name: string; grade: Grade }[] =>
  [
    ...checks.map(({ check, grade }) => ({ n: DISC[check], name: CLEARANCE_NAMES[check], grade })),
    ...(opening ? [{ n: DISC.opening, name: 'Car opening', grade: opening.grade }] : []),
  ].sort((a, b) => a.n - b.n)

/** Crates by the clearances they hold: a row each, a mark each. */
export function CrateList({ choices, current, first, onPick }: CrateListProps) {
  const [all, setAll] = useState(false)
  const shown = all || choices.length <= first + 1 ? choices : choices.filter((each, i) => i < first || each.key === current)
  return (
    <>
      <ol aria-label="Crates, none missed first">
        {shown.map(({ key, family, label, checks, grade, measured, opening }) => (
          <li key={key} className="border-b border-rule">
            <button
              type="button"
              aria-pressed={key === current}
              onClick={() => onPick(key)}
              className="grid min-h-[54px] w-full grid-cols-[84px_1fr] items-center gap-1 border-l-[5px] border-transparent pr-1 pl-2.5 text-left aria-pressed:border-ink aria-pressed:bg-bench"
            >
              <span>
                <b className="block text-[17px] leading-5 whitespace-nowrap">
                  {KINDS[family]} {label}
                </b>
                <span className="text-[13.5px] leading-4 text-mute">{measured ? 'measured' : 'by its label'}</span>
              </span>
              <span className="flex flex-wrap gap-y-0.5">
                {marksOf({ checks, opening }).map(({ name, grade: each }) => (
                  <span key={name} title={`${name}: ${verdictWord(each, 'predicted')}`}>
                    <Mark grade={each} basis="predicted" size={14} />
                  </span>
                ))}
                <span className="sr-only">
                  {verdictWord(grade, 'predicted')}:{' '}
                  {marksOf({ checks, opening })
                    .map(({ name, grade: each }) => `${name} ${verdictWord(each, 'predicted').toLowerCase()}`)
                    .join(', ')}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ol>
      {choices.length > shown.length && (
        <button type="button" onClick={() => setAll(true)} className="min-h-11 px-4 font-bold underline">
          All {choices.length}
        </button>
      )}
    </>
  )
}
