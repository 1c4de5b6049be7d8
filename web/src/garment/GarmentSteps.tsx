import { keptPattern, type GarmentFamily, type Item, type TryOn } from '@merry-tailor/core'
import { useState } from 'react'
import { useOpenTicket, type SetThing } from '../bench'
import { Segmented } from '../ui/controls/Segmented'
import { cordsOf } from './cords-of'
import { CordSteps } from './CordSteps'
import { PinnedHere } from './PinnedHere'
import { useItemPattern } from './use-pattern'

interface GarmentStepsProps {
  item: Item
  family: GarmentFamily
  thing: SetThing
  /** The round that is looked at; its number is said beside what was pinned in it. */
  round: TryOn
  rounds: readonly TryOn[]
}

type Step = 'cords' | 'pins'
const hasCords = (family: GarmentFamily): boolean => family === 'C3' || family === 'C4'

/** What is done to a garment on the dog: cords drawn in one by one, and what is pinned for the next cut. */
export function GarmentSteps({ item, family, thing, round, rounds }: GarmentStepsProps) {
  const { sheet } = useOpenTicket()
  const pattern = useItemPattern(item, family)
  const [step, setStep] = useState<Step>(hasCords(family) ? 'cords' : 'pins')
  // A suit off the rail has cords as well; only pieces of our own are cut anew.
  const ours = item.way === 'made' || keptPattern(sheet.choices, item.id) !== undefined
  if (!ours) return hasCords(family) ? <CordSteps family={family} thing={thing} cords={[]} /> : null
  const cords = pattern.drafted ? cordsOf(pattern.drafted, pattern.form, pattern.wished) : []
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      {hasCords(family) && (
        <div className="flex border-b border-rule px-3 py-1">
          <Segmented
            label="On the dog"
            value={step}
            options={[
              { value: 'cords', label: 'Cords' },
              { value: 'pins', label: 'Pinned here' },
            ]}
            onChange={setStep}
          />
        </div>
      )}
      {step === 'cords' && hasCords(family) ? (
        <CordSteps family={family} thing={thing} cords={cords} />
      ) : (
        <PinnedHere hand={pattern.hand} drafted={pattern.drafted} round={round} rounds={rounds} />
      )}
    </div>
  )
}
