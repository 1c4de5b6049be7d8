import {
  checkById,
  rankCauses,
  remedyOf,
  type PredictedCheck,
  type PullState,
  latestObservations,
  presentSymptoms,
  symptomsFor,
  type FamilyId,
  type RemedyKind,
  type Symptom,
  type SymptomNote,
  type TryOn,
} from '@merry-tailor/core'
import { useState } from 'react'
import { useAppSelector } from '../../state/store'
import { valueStyle } from '../../state/settings'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { Mark } from '../../ui/marks/Mark'
import { strapName } from '../../words/foretold'
import { verdictWord } from '../../words/verdicts'
import { problemWords } from '../../words/problems'
import { useActs } from '../../bench'
import { lowerFirst, upperFirst } from '../../words/first-letter'
import { Problem } from '../../ui/controls/Problem'

const KINDS: Readonly<Record<RemedyKind, string>> = { adjust: 'Adjust', resize: 'Resize', change: 'Change style', procedure: 'Do' }

interface SymptomsProps {
  family: FamilyId
  round: TryOn
  predicted: readonly PredictedCheck[]
  /** Symptoms of the part of the dog that was pressed; `null`: none was. */
  part: readonly string[] | null
  onPart: (part: readonly string[] | null) => void
  className: string
  heading?: boolean
}

/** What is seen on the dog that should not be, and what to try, in order. */
export function Symptoms({ family, round, predicted, part, onPart, className, heading = true }: SymptomsProps) {
  const failing = [...latestObservations(round.observations).values()].filter((answer) => answer.grade !== 'holds')
  const hinted = [...new Set(failing.flatMap((answer) => checkById(answer.check)?.symptoms ?? []))]
  const present = presentSymptoms(round.symptoms)
  const [all, setAll] = useState(false)
  const list = symptomsFor(family, hinted)
  // A kind whose symptoms are not known has nothing to tick.
  if (list.length === 0) return null
  const shown = all
    ? list
    : list.filter((symptom) => (part ?? hinted).includes(symptom.id) || symptom.stop === true || present.some((note) => note.symptom === symptom.id))
  const pressed = part !== null && !all
  return (
    <aside aria-label="Symptoms" className={`quiet-scroll min-h-0 border-ink bg-panel ${className}`}>
      {heading && <h2 className="border-b-2 border-ink px-[18px] py-2 text-[19px] leading-6">What you see, what to do</h2>}
      {pressed && (
        <p className="flex items-center justify-between gap-2 border-b border-rule bg-bench pl-[18px]">
          <b>{part.length === 0 ? 'Nothing is known of this part' : 'Where you pressed the dog'}</b>
          <button type="button" onClick={() => onPart(null)} className="min-h-11 px-3 font-semibold underline">
            Back
          </button>
        </p>
      )}
      {!pressed && hinted.length === 0 && present.length === 0 && !all && (
        <p className="px-[18px] py-3 text-mute">Nothing failing points here yet. Press the dog where something looks wrong, or tick it here.</p>
      )}
      <ul>
        {shown.map((symptom) => (
          <SymptomRow
            key={symptom.id}
            symptom={symptom}
            note={present.find((each) => each.symptom === symptom.id)}
            round={round}
            family={family}
            predicted={predicted}
          />
        ))}
      </ul>
      <p className="flex flex-wrap items-center justify-between gap-x-3 px-[18px] text-mute">
        <button type="button" onClick={() => setAll(!all)} className="min-h-11 font-semibold text-ink underline">
          {all ? 'Only what the checks point to' : `All ${list.length} symptoms`}
        </button>
        {!all && 'or press the dog'}
      </p>
    </aside>
  )
}

interface SymptomRowProps {
  symptom: Symptom
  note: SymptomNote | undefined
  round: TryOn
  family: FamilyId
  predicted: readonly PredictedCheck[]
}

function SymptomRow({ symptom, note, round, family, predicted }: SymptomRowProps) {
  const ranked = note ? rankCauses({ symptom: symptom.id, family, predicted, answers: [...latestObservations(round.observations).values()] }) : null
  const acts = useActs()
  const settings = useAppSelector((state) => state.settings)
  const style = { ...valueStyle(settings), unit: settings.unit }
  const [refused, setRefused] = useState<string | null>(null)
  const keep = (present: boolean, remedy: string | null): void =>
    void acts.symptom(round.id, { symptom: symptom.id, remedy, present }).then(({ error }) => setRefused(error ? `Not saved. ${problemWords(error)}` : null))
  return (
    <li className={`border-b border-rule px-[18px] py-2 ${note && symptom.stop ? 'bg-snag-bg' : ''}`}>
      <button
        type="button"
        aria-pressed={note !== undefined}
        onClick={() => keep(note === undefined, null)}
        className="flex min-h-11 w-full items-center gap-2 text-left"
      >
        <span className={`flex h-6 w-6 shrink-0 items-center justify-center border-[2.5px] border-ink ${note ? 'bg-ink text-panel' : ''}`}>
          {note ? '✓' : ''}
        </span>
        <span>
          <span className="font-bold">{symptom.name}</span> <span className="text-[13.5px] text-mute">{symptom.cause}.</span>
        </span>
      </button>
      <Problem>{refused}</Problem>
      {note && symptom.stop && (
        <p className="flex items-center gap-2 font-bold text-snag">
          <Mark grade="fails" basis="seen" size={18} /> Stop and refit now. If it goes on without gear, ask the vet.
        </p>
      )}
      {note && ranked?.normal && <p className="pl-8 text-mute">The normal look while slack: nothing to mend. Judge it in the pull.</p>}
      {note && ranked && ranked.causes.length > 1 && (
        <ol className="mt-1 pl-8" aria-label="Likely causes">
          {ranked.causes.slice(0, 3).map(({ code, weight }, i) => (
            <li key={code} className={i === 0 ? 'font-bold' : 'text-mute'}>
              {i + 1}. {causeWords(code)}
              {weight > 0.7 ? ', most likely' : ''}
            </li>
          ))}
        </ol>
      )}
      {note && ranked?.ask && <PartingCheck round={round} ask={ranked.ask} />}
      {note && ranked && (
        <ol className="mt-1 space-y-1 pl-8" aria-label="What to do, in order">
          {ranked.remedies.map((remedy, i) => (
            <li key={remedy.code}>
              <button
                type="button"
                aria-pressed={note.remedy === remedy.code}
                onClick={() => keep(true, note.remedy === remedy.code ? null : remedy.code)}
                className="flex min-h-11 w-full items-center gap-2 border border-edge px-2.5 text-left aria-pressed:border-2 aria-pressed:border-ink aria-pressed:bg-bench"
              >
                <span className="text-mute">{i + 1}.</span>
                <span>
                  <b>{KINDS[remedy.kind]}:</b> {lowerFirst(remedyOf(symptom.id, remedy.code)?.do ?? 'another size')}
                  {remedy.strap && remedy.byMm !== undefined && Math.abs(remedy.byMm) >= 2 && (
                    <b className="block">
                      {remedy.byMm < 0 ? 'Draw in' : 'Let out'} {strapName(remedy.strap).toLowerCase()}{' '}
                      <Worded text={lengthText(Math.abs(remedy.byMm), style, true)} />
                    </b>
                  )}
                  {note.remedy === remedy.code && <span className="text-mute"> (done)</span>}
                </span>
              </button>
            </li>
          ))}
        </ol>
      )}
    </li>
  )
}

/** A cause by its code, as it is said. */
const causeWords = (code: string): string => upperFirst(code.replaceAll('-', ' '))

/** The one check that tells the two likeliest causes apart, answered where it stands. */
function PartingCheck({ round, ask }: { round: TryOn; ask: { check: string; state: PullState } }) {
  const acts = useActs()
  const check = checkById(ask.check)
  if (!check) return null
  return (
    <div className="mt-1.5 border-l-4 border-ink bg-bench py-1.5 pr-2 pl-3">
      <p className="text-[14.5px] leading-[18px]">
        <b>One check parts 1 and 2:</b> {check.name}, {ask.state}. {check.how}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {(['holds', 'fails'] as const).map((grade) => (
          <button
            key={grade}
            type="button"
            onClick={() => void acts.observe(round.id, { check: ask.check, state: ask.state, grade, asTyped: '', mm: null, fingers: null })}
            className="inline-flex min-h-11 items-center gap-1.5 rounded-[2px] border-2 border-edge bg-panel px-2.5 text-[14.5px] font-bold hover:bg-bench"
          >
            <Mark grade={grade} basis="seen" size={17} />
            {verdictWord(grade, 'seen')}
          </button>
        ))}
      </div>
    </div>
  )
}
