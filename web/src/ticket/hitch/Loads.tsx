import { formatWeight, parseWeight, type Rig } from '@merry-tailor/core'
import { useState } from 'react'
import { SavedLength } from '../../length-entry'
import { Button } from '../../ui/controls/Button'
import { SavedField, type SaveResult } from '../../ui/controls/SavedField'
import { TextField } from '../../ui/controls/TextField'
import { weightProblemWords } from '../../words/problems'
import type { DraftState, Load } from './draft-now'

interface LoadsProps {
  draft: DraftState
  rig: Rig
  inHand: number
  onPick: (i: number) => void
  onSet: (loads: Load[]) => void
  words: (load: Load) => string
  weightUnit: 'kg' | 'lb'
}

/** What lies on the rig; the one in hand is moved on the drawing. */
export function Loads({ draft, rig, inHand, onPick, onSet, words, weightUnit }: LoadsProps) {
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const add = (): void => {
    const read = parseWeight(typed, weightUnit)
    if (!read.ok) {
      setProblem(`A weight, such as 12 ${weightUnit}.`)
      return
    }
    onSet([
      ...draft.loads,
      { name: `Load ${draft.loads.length + 1}`, massKg: read.kg, aheadMm: Math.round((rig.bed.fromMm + rig.bed.toMm) / 2), heightMm: rig.bed.heightMm + 150 },
    ])
    onPick(draft.loads.length)
    setTyped('')
    setProblem(null)
  }
  return (
    <section aria-label="Loads">
      <h2 className="text-[16px] leading-5">Loads</h2>
      <ul>
        {draft.loads.map((load, i) => (
          <li
            key={i}
            className={`flex flex-wrap items-center border-b border-rule border-l-[5px] ${i === inHand ? 'border-l-ink bg-bench' : 'border-l-transparent'}`}
          >
            <button
              type="button"
              aria-pressed={i === inHand}
              onClick={() => onPick(i)}
              className="min-h-11 min-w-0 flex-1 px-2 py-1 text-left text-[14.5px] leading-[18px]"
            >
              <b>
                {load.name}, {formatWeight(load.massKg, weightUnit)}
              </b>
              <span className="block text-mute">{words(load)}</span>
            </button>
            <button
              type="button"
              onClick={() => onSet(draft.loads.filter((_, k) => k !== i))}
              className="min-h-11 min-w-11 px-2 font-semibold underline"
              aria-label={`Take ${load.name} off`}
            >
              off
            </button>
            {i === inHand && (
              <OneLoad
                load={load}
                rig={rig}
                weightUnit={weightUnit}
                onPut={(over) => onSet(draft.loads.map((each, k) => (k === i ? { ...each, ...over } : each)))}
              />
            )}
          </li>
        ))}
      </ul>
      <form
        noValidate
        className="mt-2 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          add()
        }}
      >
        <TextField
          label={`A load (${weightUnit})`}
          inputMode="decimal"
          value={typed}
          problem={problem ?? undefined}
          onChange={(event) => {
            setTyped(event.target.value)
            setProblem(null)
          }}
        />
        <Button type="submit">Add</Button>
      </form>
    </section>
  )
}

/** The load in hand as numbers; what lies off the bed is said at the field. */
function OneLoad({ load, rig, weightUnit, onPut }: { load: Load; rig: Rig; weightUnit: 'kg' | 'lb'; onPut: (over: Partial<Load>) => void }) {
  const done = (over: Partial<Load>): Promise<SaveResult> => {
    onPut(over)
    return Promise.resolve({ kept: true })
  }
  const off = (problem: string): Promise<SaveResult> => Promise.resolve({ kept: false, problem })
  const { fromMm, toMm, heightMm } = rig.bed
  return (
    <div className="grid w-full grid-cols-2 gap-2 px-2 pb-2">
      <SavedField
        className="col-span-2"
        label="What it is"
        value={load.name}
        maxLength={60}
        onSave={(name) => (name.trim() === '' ? off('What is it called?') : done({ name: name.trim() }))}
      />
      <SavedField
        label={`Weighs (${weightUnit})`}
        inputMode="decimal"
        value={formatWeight(load.massKg, weightUnit).replace(/[^\d.]/g, '')}
        onSave={(text) => {
          const read = parseWeight(text, weightUnit)
          return read.ok ? done({ massKg: read.kg }) : off(weightProblemWords(read.problem))
        }}
      />
      <SavedLength
        label="Ahead of the axle"
        mm={load.aheadMm}
        minus="behind the axle"
        onSave={(aheadMm) => (aheadMm < fromMm || aheadMm > toMm ? off('Off the bed: it ends there.') : done({ aheadMm }))}
      />
      <SavedLength
        label="Its middle, up"
        mm={load.heightMm}
        onSave={(up) => (up < heightMm ? off('Under the bed’s floor.') : up > 1500 ? off('Higher than anything that stays on.') : done({ heightMm: up }))}
      />
    </div>
  )
}
