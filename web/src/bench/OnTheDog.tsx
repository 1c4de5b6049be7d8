import type { FamilyId, Form, MeasureFit } from '@merry-tailor/core'
import { GearSketch } from '../ui/plates/GearSketch'
import { useWidth } from '../ui/use-width'
import { familyName } from '../words/stages'

interface OnTheDogProps {
  form: Form
  family: FamilyId
  name: string
  /** Height of the picture by the width it gets, px. */
  height?: (width: number) => number
  hitchMm?: number | null
  /** Measures to number on the dog, in the order of their cards. */
  fits?: readonly MeasureFit[]
  className?: string
}

const BESIDE_CARDS = 'min-h-[200px] self-start border-[1.5px] border-ink'

/** A kind of gear on this dog, as wide as its place. */
export function OnTheDog({ form, family, name, height = () => 240, hitchMm = null, fits = [], className = BESIDE_CARDS }: OnTheDogProps) {
  const [ref, width] = useWidth<HTMLDivElement>(360)
  return (
    <div ref={ref} className={`overflow-hidden ${className}`}>
      <GearSketch
        form={form}
        family={family}
        width={width}
        height={Math.round(height(width))}
        hitchMm={hitchMm}
        numbers={fits.map((fit, i) => ({ measure: fit.measure, n: i + 1, grade: fit.grade }))}
        label={`${familyName(family)} as it should lie on ${name}, from the side`}
      />
    </div>
  )
}
