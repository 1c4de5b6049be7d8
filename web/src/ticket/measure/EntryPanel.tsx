import { DEWCLAWS as DEWCLAW_KINDS, formatLength, formatWeight, type FormMeasure, type Reading } from '@merry-tailor/core'
import type { KeyboardEvent } from 'react'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { KeyCap } from '../../ui/controls/KeyCap'
import { SwitchBox } from '../../ui/controls/SwitchBox'
import { BigInch } from '../../ui/tape/BigInch'
import { Worded } from '../../ui/length/Worded'
import { Button } from '../../ui/controls/Button'
import { rangeWords } from '../../words/expected'
import { DEWCLAWS, tapeName } from '../../words/measuring'
import { LengthField } from '../../length-entry'
import { ordinal, ReadingsList } from './ReadingsList'
import { TakenHow } from './TakenHow'
import { useExpected, type Entry, type TapeRow } from '../../bench'

export interface EntryPanelProps {
  entry: Entry
  row: TapeRow
  kept: readonly Reading[]
  pin: () => void
  onKey: (event: KeyboardEvent<HTMLInputElement>) => void
  onUnit: () => void
  /** Every tape agrees and nothing is typed: another reading is no longer the thing to do. */
  done: boolean
}

/** Where the Big Inch opens before anything is known of this tape. */
const USUAL_MM = 305
const SMALL_MM: Readonly<Record<string, number>> = {
  M05: 130,
  M20: 140,
  M32: 60,
  M33: 70,
  M34: 55,
  M35: 65,
  M36: 85,
  M37: 45,
  M38: 90,
  M49: 30,
}

/** Nearer than this two readings are one pin. */
const ONE_PIN_MM = 1.2

/** Earlier readings of this tape as pins, as taken; readings at one place share a pin. */
export function pinsOf(kept: readonly Reading[]): { mm: number; label: string }[] {
  const pins: { mm: number; label: string }[] = []
  kept.forEach((reading, i) => {
    const near = pins.find((pin) => Math.abs(pin.mm - reading.mm) < ONE_PIN_MM)
    if (near) near.label = `${near.label}, ${ordinal(i + 1)}`
    else pins.push({ mm: reading.mm, label: ordinal(i + 1) })
  })
  return pins
}

export const aroundOf = (kept: readonly Reading[], measure: string, expected: FormMeasure | null): number =>
  kept.at(-1)?.mm ?? expected?.mm ?? SMALL_MM[measure] ?? USUAL_MM

/** The line under the field: what the number becomes, or what the field takes, or what is wrong. */
export function entryNote(entry: Entry, unit: 'in' | 'cm', step: number, expected: string | null): string {
  if (entry.problem) return entry.problem
  if (expected && entry.typed === '') return `Expected ${expected}`
  if (entry.weight) {
    if (!entry.parsed.ok) return entry.typed === '' ? 'Takes 27.3 kg, 27,3 or 60 lb' : 'Not a weight yet'
    return `Reads ${formatWeight(entry.parsed.mm)}, ${formatWeight(entry.parsed.mm, 'lb')}`
  }
  if (!entry.parsed.ok) return entry.typed === '' ? `Takes ${unit === 'in' ? '11 3/4, 11.75 or 29.8 cm' : '29,8, 29.5 or 11 3/4 in'}` : 'Not a length yet'
  const look = { unit, step } as const
  const said = formatLength(entry.parsed.mm, { unit, step: unit === 'in' ? 0.0625 : 0.1 }).text
  const converted = entry.parsed.unit !== unit ? `${said}. ` : ''
  return entry.oneSide ? `${converted}× 2 = ${formatLength(entry.parsed.mm * 2, look).text}` : converted || `Reads ${said}`
}

export function EntryPanel({ entry, row, kept, pin, onKey, onUnit, done }: EntryPanelProps) {
  const settings = useAppSelector((state) => state.settings)
  const { unit } = settings
  const name = tapeName(row.tape.measure, row.tape.place)
  const dewclaw = row.tape.measure === 'M37'
  const expected = useExpected(row, entry.oneSide)
  const look = { ...valueStyle(settings), unit }
  const note = entryNote(entry, unit, look.step, expected && rangeWords(row.tape.measure, expected, look))
  return (
    <form
      aria-label={`${name}, entry`}
      className="shrink-0 border-t-2 border-ink bg-panel px-5 pt-2.5 pb-3 max-bench:pb-[58px]"
      onSubmit={(event) => {
        event.preventDefault()
        pin()
      }}
    >
      <TakenHow row={row} />
      <div className="grid grid-cols-[112px_1fr_122px] gap-3.5">
        <div className="min-w-0">
          <p className="text-[17px] leading-[21px] font-bold">{done ? 'All taken' : `${ordinal(kept.length + 1)} reading`}</p>
          <ReadingsList name={name} readings={row.readings} agreed={row.agreed} onStrike={entry.strike} onRestore={entry.restore} />
        </div>
        <LengthField
          label={`${name}${entry.oneSide ? ', one side' : ''}`}
          value={entry.typed}
          onChange={entry.setTyped}
          onKey={onKey}
          unit={entry.weight ? (unit === 'in' ? 'lb' : 'kg') : unit}
          problem={entry.problem}
          describedBy="entry-note"
          size={64}
        />
        <button
          type="submit"
          className={`flex h-[82px] flex-col items-center justify-center gap-1 rounded-[2px] border-2 border-ink hover:brightness-95 ${done ? 'bg-panel' : 'bg-tape text-tape-ink'}`}
        >
          <span className="text-[20px] font-bold">Pin it</span>
          {!done && <KeyCap tone="tape">Enter</KeyCap>}
        </button>
      </div>
      <div className="mt-2 flex min-h-11 items-center justify-between gap-3">
        <p
          id="entry-note"
          role={entry.problem ? 'alert' : undefined}
          className={`text-[16px] leading-5 ${entry.problem ? 'font-semibold text-snag' : entry.parsed.ok && entry.oneSide ? 'font-bold' : 'text-mute'}`}
        >
          <Worded text={note} />
        </p>
        <div className="flex shrink-0 gap-2">
          {dewclaw &&
            DEWCLAW_KINDS.filter((each) => each !== 'single').map((each) => (
              <Button key={each} tone="quiet" onClick={() => entry.pinDewclaw(each)}>
                {DEWCLAWS[each]}
              </Button>
            ))}
          {entry.doubling && <SwitchBox label="One side, doubled" checked={entry.oneSide} onChange={entry.setOneSide} cap={<KeyCap>D</KeyCap>} />}
          <button type="button" onClick={onUnit} className="inline-flex min-h-11 items-center gap-2 border border-edge px-3 font-semibold">
            {unit} <KeyCap>U</KeyCap>
          </button>
        </div>
      </div>
      <div className={`mt-1.5 ${entry.weight ? 'hidden' : ''}`}>
        <BigInch
          unit={unit}
          mm={entry.weight ? null : entry.mm}
          aroundMm={aroundOf(kept, row.tape.measure, expected)}
          pins={pinsOf(kept)}
          onSet={entry.setMm}
        />
      </div>
    </form>
  )
}
