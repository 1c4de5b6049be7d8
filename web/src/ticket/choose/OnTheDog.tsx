import type { FamilyId, MeasureFit } from '@merry-tailor/core'
import { GearSketch } from '../../ui/plates/GearSketch'
import { useWidth } from '../../ui/use-width'
import { familyName } from '../../words/stages'
import { useBenchForm } from '../measure/use-bench-form'

/** The item on this dog, as wide as its place. */
export function OnTheDog({ family, name, fits }: { family: FamilyId; name: string; fits: readonly MeasureFit[] }) {
  const { form } = useBenchForm()
  const [ref, width] = useWidth<HTMLDivElement>(420)
  return (
    <div ref={ref} className="min-h-[200px] self-start overflow-hidden border-[1.5px] border-ink">
      <GearSketch
        form={form}
        family={family}
        width={width}
        height={240}
        numbers={fits.map((fit, i) => ({ measure: fit.measure, n: i + 1, grade: fit.grade }))}
        label={`${familyName(family)} as it should lie on ${name}, from the side`}
      />
    </div>
  )
}
