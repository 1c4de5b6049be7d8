import type { CrateCheckId, DogPlan, Form, LengthStyle, Posture } from '@merry-tailor/core'
import { useState } from 'react'
import { VerdictWord } from '../../said/VerdictWord'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Segmented } from '../../ui/controls/Segmented'
import { Worded } from '../../ui/length/Worded'
import type { TapeUnit } from '../../ui/tape/scale'
import { CLEARANCE_NAMES } from '../../words/clearances'
import { CrateMat, DISC, type Stance } from './CrateViews'
import { OpenClearance, OpeningTape, roomIn } from './OpenClearance'
import type { CrateChoice } from './use-crate-choices'

interface HomePaneProps {
  crate: CrateChoice
  crates: readonly CrateChoice[]
  form: Form
  plan: DogPlan
  path: readonly Posture[]
  bedMm: number
  turning: { share: number; play: () => void }
  asked: CrateCheckId | null
  onAsk: (check: CrateCheckId) => void
  car: { name: string; highMm: number } | null
  look: LengthStyle & { unit: TapeUnit }
  say: (mm: number) => string
  name: string
  phone: boolean
}

/** A crate at home: each clearance as a tag, the dog in it from two sides, the clearance in hand and the car's opening on tapes. */
export function HomePane({ crate, crates, form, plan, path, bedMm, turning, asked, onAsk, car, look, say, name, phone }: HomePaneProps) {
  const [stance, setStance] = useState<Stance>('side')
  const { checks, inside } = crate
  const worst = checks.find(({ grade }) => grade === 'fails') ?? checks.find(({ grade }) => grade === 'doubt')
  const open = checks.find(({ check }) => check === asked) ?? worst ?? checks[0]
  const scene = { form, plan, inside, bedMm, checks, path, share: turning.share, stance, name }
  const at = checks.findIndex(({ check }) => check === open?.check)
  const go = (by: 1 | -1): void => {
    const next = checks[(at + by + checks.length) % checks.length]
    if (next) onAsk(next.check)
  }
  const controls = (
    <div className="flex shrink-0 flex-wrap items-center justify-between gap-2 px-4 pb-2">
      <Segmented
        label="How it stands"
        value={stance}
        options={[
          { value: 'side', label: 'Stand' },
          { value: 'sitting', label: 'Sit' },
          { value: 'lying', label: 'Lie' },
        ]}
        onChange={setStance}
      />
      <button type="button" onClick={turning.play} className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold">
        Turn <span className="max-md:hidden"><KeyCap>T</KeyCap></span>
      </button>
    </div>
  ) // prettier-ignore
  if (phone && open)
    return (
      <div>
        <CrateMat scene={scene} focus={open.check} phone />
        {controls}
        <div className="border-y-2 border-ink bg-panel">
          <OpenClearance check={open} say={say} look={look} name={name} />
          <div className="grid grid-cols-[1fr_auto_1fr] items-center gap-2 px-4 pb-3">
            <button type="button" onClick={() => go(-1)} className="min-h-14 rounded-[2px] border-2 border-ink bg-panel text-[17px] font-bold">
              Previous
            </button>
            <span className="text-[15px] text-mute">
              {at + 1} of {checks.length}
            </span>
            <button type="button" onClick={() => go(1)} className="min-h-14 rounded-[2px] border-2 border-ink bg-panel text-[17px] font-bold">
              Next
            </button>
          </div>
        </div>
        <div className="border-b-2 border-ink bg-panel">
          <OpeningTape car={car} crates={crates} current={crate} look={look} say={say} />
        </div>
      </div>
    )
  return (
    <div className="flex h-full min-h-0 flex-col">
      <ol aria-label="Clearances" className="flex flex-wrap gap-1.5 p-2">
        {checks.map((check) => (
          <li key={check.check}>
            <button
              type="button"
              aria-pressed={check.check === open?.check}
              onClick={() => onAsk(check.check)}
              className="min-h-[52px] min-w-[128px] border-2 border-ink bg-panel px-2 py-1 text-left aria-pressed:shadow-[inset_0_-4px_0_var(--ink)]"
            >
              <span className="flex items-baseline justify-between gap-2 text-[15px] leading-5 whitespace-nowrap">
                <span>
                  <b>{DISC[check.check]}</b> {CLEARANCE_NAMES[check.check]}
                </span>
                <b>
                  <Worded text={check.needMm === null ? '' : say(check.haveMm - check.needMm + roomIn(check))} />
                </b>
              </span>
              <VerdictWord grade={check.grade} basis="predicted" size={15} {...(check.grade === 'none' ? { word: 'Take the tape' } : {})} />
            </button>
          </li>
        ))}
      </ol>
      <CrateMat scene={scene} focus={null} phone={false} />
      {controls}
      <div className="grid shrink-0 grid-cols-2 border-t-2 border-ink bg-panel">
        {open && <OpenClearance check={open} say={say} look={look} name={name} />}
        <div className="min-w-0 border-l border-rule">
          <OpeningTape car={car} crates={crates} current={crate} look={look} say={say} />
        </div>
      </div>
    </div>
  )
}
