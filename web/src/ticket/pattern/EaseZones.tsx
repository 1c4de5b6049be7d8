import type { Form, Garment, GarmentFamily, GarmentPlan, LengthStyle } from '@merry-tailor/core'
import type { TapeUnit } from '../../ui/tape/scale'
import { EaseBracket } from './EaseBracket'
import { EASE_NAMES } from '../../garment'

/** Zones of ease a garment has, each with the measure it is added to. */
const ZONES: Readonly<Record<GarmentFamily, readonly (readonly [keyof typeof EASE_NAMES, string])[]>> = {
  C1: [['girthMm', 'M18'], ['lengthMm', 'M15']],
  C2: [['girthMm', 'M07'], ['neckMm', 'M02'], ['lengthMm', 'M15']],
  C3: [['neckMm', 'M03'], ['headMm', 'M04'], ['girthMm', 'M21'], ['lengthMm', 'M16']],
  C4: [['girthMm', 'M07'], ['neckMm', 'M02'], ['lengthMm', 'M14']],
  C5: [['girthMm', 'M18'], ['lengthMm', 'M15']],
} // prettier-ignore

interface EaseZonesProps {
  family: GarmentFamily
  garment: Garment
  form: Form
  style: LengthStyle & { unit: TapeUnit }
  say: (mm: number) => string
  onEase: (ease: NonNullable<GarmentPlan['ease']>) => void
}

/** What is added to the dog's own numbers, a bracket a zone. */
export function EaseZones({ family, garment, form, style, say, onEase }: EaseZonesProps) {
  return (
    <section aria-label="Ease" className="border-t-2 border-ink pt-2">
      <header className="flex items-baseline justify-between">
        <h2 className="text-[20px] leading-6">Ease</h2>
        <span className="text-[14px] text-mute">drag a bracket’s ring</span>
      </header>
      {ZONES[family].map(([zone, measure]) => (
        <EaseBracket
          key={zone}
          name={EASE_NAMES[zone]}
          ownMm={garment.numbers[measure]?.mm ?? form.measures[measure]?.mm ?? 300}
          easeMm={garment.plan.ease[zone]}
          style={style}
          say={say}
          onEase={(mm) => onEase({ [zone]: mm })}
        />
      ))}
    </section>
  )
}
