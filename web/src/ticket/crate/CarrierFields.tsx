import type { CarrierRules } from '@merry-tailor/core'
import { useState } from 'react'
import { TickRow } from '../../ui/controls/TickRow'
import { useChangeShopMutation } from '../../api/queries'
import { LengthEntry, NumberEntry } from '../../length-entry'
import { useOnce } from '../../state/use-once'
import { useShop } from '../../state/use-shop'
import { TextField } from '../../ui/controls/TextField'
import { problemWords } from '../../words/problems'
import { Problem } from '../../ui/controls/Problem'

const SIDES = ['length', 'width', 'height'] as const

/** A carrier's own answer, kept with the shop: what it left out is as commonly asked. */
export function CarrierFields({ was, onDone }: { was: CarrierRules | null; onDone: (name: string) => void }) {
  const { carriers } = useShop()
  const [change] = useChangeShopMutation()
  const once = useOnce()
  const [problem, setProblem] = useState<string | null>(null)
  const [rules, setRules] = useState<CarrierRules>(
    was ?? { name: '', lengthB: null, width: null, flatFaceShare: null, refusesFlatFace: false, leastMm: {}, mostMm: {}, answered: '' },
  )
  const set = (over: Partial<CarrierRules>): void => setRules({ ...rules, ...over })
  const taken = carriers.some(({ name }) => name === rules.name.trim() && name !== was?.name)
  const keep = (): void =>
    void once(async () => {
      const name = rules.name.trim()
      if (name === '' || taken) {
        setProblem(name === '' ? 'Whose rules? Name the carrier.' : 'A carrier of this name is kept already.')
        return false
      }
      const answer = await change([{ field: 'carriers', from: carriers, to: [...carriers.filter((each) => each.name !== was?.name), { ...rules, name }] }])
      setProblem(answer.error ? `Not kept. ${problemWords(answer.error)}` : null)
      if (!answer.error) onDone(name)
      return !answer.error
    })
  return (
    <div className="space-y-2 border-2 border-ink p-2.5">
      <TextField label="Carrier" value={rules.name} maxLength={60} onChange={(event) => set({ name: event.target.value })} />
      <TextField label="Answered: when, by whom" value={rules.answered} maxLength={40} onChange={(event) => set({ answered: event.target.value })} />
      <div className="grid grid-cols-2 gap-2">
        <NumberEntry
          label="Of elbow height to length"
          value={rules.lengthB ?? 0.5}
          least={0}
          most={3}
          problem="From 0 to 3."
          onSet={(lengthB) => set({ lengthB })}
        />
        <NumberEntry label="Widths for one animal" value={rules.width ?? 2} least={1} most={6} problem="From 1 to 6." onSet={(width) => set({ width })} />
        {SIDES.map((side) => (
          <LengthEntry
            key={side}
            label={`At most, ${side}`}
            mm={rules.mostMm[side] ?? 0}
            least={0}
            most={5000}
            onSet={(mm) => set({ mostMm: mostOf(rules.mostMm, side, mm) })}
          />
        ))}
      </div>
      <TickRow on={rules.refusesFlatFace} onChange={(refusesFlatFace) => set({ refusesFlatFace })}>
        It takes no flat faces
      </TickRow>
      <Problem>{problem}</Problem>
      <div className="flex gap-2">
        <button type="button" onClick={keep} className="min-h-11 rounded-[2px] border-2 border-ink bg-panel px-4 font-bold hover:bg-bench">
          Keep its rules
        </button>
        <button type="button" onClick={() => onDone(was?.name ?? 'common')} className="min-h-11 px-2 underline">
          Leave it
        </button>
      </div>
    </div>
  )
}

/** A side nobody limits has no entry. */
function mostOf(was: CarrierRules['mostMm'], side: (typeof SIDES)[number], mm: number): CarrierRules['mostMm'] {
  const { [side]: _, ...others } = was
  return mm < 50 ? others : { ...others, [side]: mm }
}
