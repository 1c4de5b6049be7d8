import {
  checkById,
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
import { Mark } from '../../ui/marks/Mark'
import { problemWords } from '../../words/problems'
import { useActs } from '../../bench'
import { lowerFirst } from '../../words/first-letter'

const KINDS: Readonly<Record<RemedyKind, string>> = { adjust: 'Adjust', resize: 'Resize', change: 'Change style', procedure: 'Do' }

/** What is seen on the dog that should not be, and what to try, in order. */
export function Symptoms({ family, round }: { family: FamilyId; round: TryOn }) {
  const failing = [...latestObservations(round.observations).values()].filter((answer) => answer.grade !== 'holds')
  const hinted = [...new Set(failing.flatMap((answer) => checkById(answer.check)?.symptoms ?? []))]
  const present = presentSymptoms(round.symptoms)
  const [all, setAll] = useState(false)
  const list = symptomsFor(family, hinted)
  // A kind whose symptoms are not known has nothing to tick.
  if (list.length === 0) return null
  const shown = all ? list : list.filter((symptom) => hinted.includes(symptom.id) || present.some((note) => note.symptom === symptom.id))
  return (
    <aside
      aria-label="Symptoms"
      className="quiet-scroll min-h-0 border-ink bg-panel max-bench:border-t-2 max-lg:shrink-0 lg:max-bench:col-span-2 lg:max-bench:max-h-[40vh] bench:border-l-2"
    >
      <h2 className="border-b-2 border-ink px-[18px] py-2 text-[19px] leading-6">What you see, what to do</h2>
      {shown.length === 0 && (
        <p className="px-[18px] pt-3 text-mute">Nothing failing points here yet. Tick what you see; the remedies come in the order to try them.</p>
      )}
      <ul>
        {shown.map((symptom) => (
          <SymptomRow key={symptom.id} symptom={symptom} note={present.find((each) => each.symptom === symptom.id)} round={round} />
        ))}
      </ul>
      <button type="button" onClick={() => setAll(!all)} className="min-h-11 px-[18px] font-semibold underline">
        {all ? 'Only what the checks point to' : `All ${list.length} symptoms`}
      </button>
    </aside>
  )
}

function SymptomRow({ symptom, note, round }: { symptom: Symptom; note: SymptomNote | undefined; round: TryOn }) {
  const acts = useActs()
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
      {refused !== null && (
        <p role="alert" className="font-semibold text-snag">
          {refused}
        </p>
      )}
      {note && symptom.stop && (
        <p className="flex items-center gap-2 font-bold text-snag">
          <Mark grade="fails" basis="seen" size={18} /> Stop and refit now. If it goes on without gear, ask the vet.
        </p>
      )}
      {note && (
        <ol className="mt-1 space-y-1 pl-8">
          {symptom.remedies.map((remedy, i) => (
            <li key={remedy.code}>
              <button
                type="button"
                aria-pressed={note.remedy === remedy.code}
                onClick={() => keep(true, note.remedy === remedy.code ? null : remedy.code)}
                className="flex min-h-11 w-full items-center gap-2 border border-edge px-2.5 text-left aria-pressed:border-2 aria-pressed:border-ink aria-pressed:bg-bench"
              >
                <span className="text-mute">{i + 1}.</span>
                <span>
                  <b>{KINDS[remedy.kind]}:</b> {lowerFirst(remedy.do)}
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
