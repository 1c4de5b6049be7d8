import { paws as PAWS, symptomsFor, type BootOuting, type BootSeen, type Footing, type SymptomId } from '@merry-tailor/core'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddBootOutingMutation, useChangeBootOutingMutation } from '../api/queries'
import { NumberEntry } from '../length-entry'
import { useAppSelector } from '../state/store'
import { today } from '../state/today'
import { useKeys } from '../state/use-keys'
import { useOnce } from '../state/use-once'
import { GettingUsed } from './GettingUsed'
import { KeyCap } from '../ui/controls/KeyCap'
import { Picker } from '../ui/controls/Picker'
import { pawName } from '../words/measuring'
import { problemWords } from '../words/problems'
import { Problem } from '../ui/controls/Problem'

type Came = 'fine' | 'worn' | 'lost'
const NEXT: Readonly<Record<Came, Came>> = { fine: 'worn', worn: 'lost', lost: 'fine' }
const WORDS: Readonly<Record<Came, string>> = { fine: 'Came back', worn: 'Worn through', lost: 'Lost' }
/** What may be seen on a paw after boots (handbook 7.3). */
const SEEN: readonly { value: SymptomId | 'none'; label: string }[] = [
  { value: 'none', label: 'Nothing seen' },
  ...symptomsFor('B1', []).map(({ id, name }) => ({ value: id, label: name })),
]

/** Back from an outing: four taps, how far, and what was seen; and what comes next in getting used to boots. */
export function BackFromOuting({
  dogId,
  footing,
  outings,
  open,
  onOpen,
}: {
  dogId: string
  footing: Footing
  outings: readonly BootOuting[]
  open: boolean
  onOpen: (open: boolean) => void
}) {
  const by = useAppSelector((state) => state.settings.fitter)
  const [add] = useAddBootOutingMutation()
  const [change] = useChangeBootOutingMutation()
  const once = useOnce()
  useKeys({ b: () => onOpen(true) })
  const [km, setKm] = useState(8)
  const [minutes, setMinutes] = useState(40)
  const [came, setCame] = useState<Readonly<Record<string, Came>>>({})
  const [seen, setSeen] = useState<Readonly<Record<string, SymptomId | 'none'>>>({})
  const [problem, setProblem] = useState<string | null>(null)
  const keep = (): void =>
    void once(async () => {
      const paws: Record<string, BootSeen> = {}
      for (const paw of PAWS) {
        const found = seen[paw] ?? 'none'
        paws[paw] = { worn: came[paw] === 'worn', lost: came[paw] === 'lost', seen: found === 'none' ? [] : [found] }
      }
      const answer = await add({ dogId, id: uuid(), body: { on: today(), km, footing, minutes, paws, note: '', at: new Date().toISOString(), by } })
      setProblem(answer.error ? `Not kept. ${problemWords(answer.error)}` : null)
      if (!answer.error) {
        onOpen(false)
        setCame({})
        setSeen({})
      }
      return !answer.error
    })
  const last = outings.find((each) => !each.removed)
  return (
    <section aria-label="Outings in boots" className="space-y-2 border-t-2 border-ink px-4 py-3 text-[15px] leading-[19px]">
      <GettingUsed outings={outings} />
      {open ? (
        <div className="space-y-2 border-2 border-ink p-2.5">
          <div className="grid grid-cols-2 gap-2">
            <NumberEntry label="Kilometres" value={km} least={0} most={500} problem="From 0 to 500." onSet={setKm} />
            <NumberEntry label="Minutes" value={minutes} least={0} most={1440} problem="From 0 to 1440." onSet={(n) => setMinutes(Math.round(n))} />
          </div>
          <ul className="grid grid-cols-2 gap-2">
            {PAWS.map((paw) => {
              const now = came[paw] ?? 'fine'
              return (
                <li key={paw}>
                  <button
                    type="button"
                    onClick={() => setCame({ ...came, [paw]: NEXT[now] })}
                    aria-label={`${pawName(paw)}: ${WORDS[now]}`}
                    className={`min-h-14 w-full rounded-[2px] border-2 border-ink px-2 text-left text-[15px] leading-[18px] ${now === 'fine' ? 'bg-panel' : 'bg-ink text-panel'}`}
                  >
                    <b className="block">{pawName(paw)}</b>
                    {WORDS[now]}
                  </button>
                  <Picker
                    label={`Seen, ${pawName(paw).toLowerCase()}`}
                    value={seen[paw] ?? 'none'}
                    options={[...SEEN]}
                    onChange={(value) => setSeen({ ...seen, [paw]: value })}
                    className="mt-1 w-full"
                  />
                </li>
              )
            })}
          </ul>
          <Problem>{problem}</Problem>
          <button type="button" onClick={keep} className="min-h-12 w-full rounded-[2px] border-2 border-ink bg-tape px-4 text-[17px] font-bold text-tape-ink">
            Keep this outing
          </button>
        </div>
      ) : (
        <button
          type="button"
          onClick={() => onOpen(true)}
          className="flex min-h-12 w-full items-center justify-between rounded-[2px] border-2 border-ink bg-panel px-4 text-left text-[17px] font-bold"
        >
          Back from an outing <KeyCap>B</KeyCap>
        </button>
      )}
      {last && !open && (
        <p className="text-[14px] text-mute">
          Last: {last.on}, {last.km} km.{' '}
          <button
            type="button"
            className="min-h-11 font-semibold text-ink underline"
            onClick={() => void change({ dogId, id: last.id, changes: [{ field: 'removed', from: false, to: true }] })}
          >
            Take it off
          </button>
        </p>
      )}
    </section>
  )
}
