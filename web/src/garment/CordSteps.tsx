import type { Cord, GarmentFamily } from '@merry-tailor/core'
import { useState } from 'react'
import { useOpenTicket, type SetThing } from '../bench'
import { LengthEntry } from '../length-entry'
import { useOnce } from '../state/use-once'
import { VerdictWord } from '../said/VerdictWord'
import { useCutLook } from './use-cut-look'
import { CORD_WORDS } from './cords-of'
import { CORD_ANSWERS, useCordSteps, type CordAnswer, type CordRow } from './use-cord-steps'
import { Problem } from '../ui/controls/Problem'

const WORDS: Readonly<Record<CordAnswer, { key: string; done: string; grade: 'holds' | 'doubt' | 'fails'; then: string }>> = {
  'lies close': { key: 'Lies close', done: 'Lies close', grade: 'holds', then: '' },
  bunches: { key: 'Bunches', done: 'Bunches', grade: 'doubt', then: 'Take cloth out here before the last seams.' },
  'cuts in': { key: 'Cuts in', done: 'Cuts in', grade: 'fails', then: 'Let it out; the tunnel wants more cloth.' },
}

/** Cords drawn in on the dog, one by one, in their order: how much, and how it lies. */
export function CordSteps({ family, thing, cords }: { family: GarmentFamily; thing: SetThing; cords: readonly Cord[] }) {
  const { sheet } = useOpenTicket()
  const { rows, answer, problem, hood } = useCordSteps(family, thing, cords)
  const { say } = useCutLook()
  const once = useOnce()
  const [picked, setPicked] = useState<string | null>(null)
  const next = rows.find(({ answer: found }) => found === null)
  const open = rows.find(({ place }) => place === (picked ?? next?.place)) ?? null
  const nameOf = ({ place }: CordRow): string => (hood ? 'Hood’s face' : CORD_WORDS[place])
  return (
    <section aria-label="Cords" className="flex min-w-0 flex-1 flex-col bg-panel">
      <p className="border-b border-rule px-4 py-1 text-[14.5px] leading-[19px]">
        <b>{next ? `Next: ${nameOf(next).toLowerCase()}` : 'Every cord is set'}</b>{' '}
        <span className="text-mute">
          {hood
            ? 'Drawn in last, two fingers free at the throat.'
            : 'Chest, belly, legs, then hem and neck snaps, zip and guard flap; the collar last. Knots lie inside; no loop hangs where a paw finds it.'}
        </span>
      </p>
      <ol className="quiet-scroll order-2 flex overflow-x-auto max-phone:flex-col">
        {rows.map((row, i) => (
          <li key={row.place} className="min-w-[128px] flex-1 border-r border-rule">
            <button
              type="button"
              aria-expanded={open?.place === row.place}
              onClick={() => setPicked(row.place)}
              className={`min-h-[60px] w-full px-2 py-1 text-left ${open?.place === row.place ? 'bg-bench shadow-[inset_0_4px_0_var(--ink)]' : ''}`}
            >
              <span className="block text-[14px] leading-[18px] whitespace-nowrap">
                {i + 1} <b>{nameOf(row)}</b>
              </span>
              <span className="block text-[17px] leading-[22px] font-bold whitespace-nowrap">
                {row.drawnMm !== null ? (
                  <>
                    {say(row.drawnMm)} <span className="font-normal">in</span>
                  </>
                ) : (
                  <span className="font-normal text-mute">{row.foretold ? `${say(Math.max(0, row.foretold.drawInMm))}?` : 'not set'}</span>
                )}
              </span>
              {row.answer && <VerdictWord grade={WORDS[row.answer].grade} basis="seen" size={14} word={WORDS[row.answer].done} />}
            </button>
          </li>
        ))}
      </ol>
      {open && sheet.ticket.state !== 'closed' && (
        <OpenCord
          key={`${open.place}${open.foretold ? ' foretold' : ''}`}
          row={open}
          name={nameOf(open)}
          say={say}
          onAnswer={(mm, found) =>
            once(async () => {
              const kept = await answer(open.place, mm, found)
              if (kept && found !== '') setPicked(null)
              return kept
            })
          }
        />
      )}
      <Problem className="order-4 px-4 pb-1">{problem}</Problem>
    </section>
  )
}

interface OpenCordProps {
  row: CordRow
  name: string
  say: (mm: number) => string
  onAnswer: (mm: number, found: CordAnswer | '') => Promise<unknown>
}

function OpenCord({ row: { foretold, drawnMm, answer }, name, say, onAnswer }: OpenCordProps) {
  const [good, setGood] = useState(true)
  const [mm, setMm] = useState(drawnMm ?? Math.max(0, foretold?.drawInMm ?? 0))
  return (
    <div className="order-3 flex flex-wrap items-end gap-x-4 gap-y-2 max-phone:order-1 border-t border-rule bg-bench px-4 py-2">
      <div className="w-[216px]">
        <LengthEntry label={`${name}, drawn in`} mm={mm} least={0} most={2000} onSet={setMm} onRead={setGood} />
      </div>
      <div role="group" aria-label={`How it lies: ${name}`} className="flex flex-wrap gap-1.5">
        {CORD_ANSWERS.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={answer === each}
            disabled={!good}
            onClick={() => void onAnswer(mm, each)}
            className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-3 text-[15px] font-bold hover:bg-bench disabled:text-mute aria-pressed:bg-ink aria-pressed:text-panel"
          >
            {WORDS[each].key}
          </button>
        ))}
      </div>
      <p className="min-w-[200px] flex-1 text-[14.5px] leading-[18px] text-mute">
        {answer && WORDS[answer].then
          ? WORDS[answer].then
          : !foretold
            ? 'Draw in until it lies close, then type how much.'
            : foretold.state === 'too-small'
              ? `Predicted ${say(-foretold.drawInMm)} too small to close: leave it open, wider cloth here.`
              : `Predicted: draw in ${say(foretold.drawInMm)}${foretold.state === 'bunches' ? '; it bunches' : ''}.`}
      </p>
    </div>
  )
}
