import { CLOTHS, CUTS, FASTENINGS, HEMS, type FullPlan, type GarmentFamily, type GarmentPlan } from '@merry-tailor/core'
import { Named } from '../../ui/controls/Named'
import { Picker } from '../../ui/controls/Picker'
import { Toggles } from '../../ui/controls/Toggles'
import { CLOTH_WORDS, CUT_WORDS, FASTENING_WORDS, HEM_WORDS } from '../../garment'

const options = <T extends string>(ids: readonly T[], words: Readonly<Record<T, string>>) => ids.map((value) => ({ value, label: words[value] }))

/** Cloth, cut, hem and fastening; what each garment cannot have is not asked. */
export function PlanChoices({ family, plan, onChange }: { family: GarmentFamily; plan: FullPlan; onChange: (over: Partial<GarmentPlan>) => void }) {
  const rug = family === 'C1' || family === 'C5'
  return (
    <section aria-label="How it is made" className="space-y-2">
      <div className="grid grid-cols-2 gap-2">
        <Named label="Cloth">
          <Picker label="Cloth" value={plan.cloth} options={options(CLOTHS, CLOTH_WORDS)} onChange={(cloth) => onChange({ cloth })} className="w-full" />
        </Named>
        {rug && (
          <Named label="Cut">
            <Picker label="Cut" value={plan.cut} options={options(CUTS, CUT_WORDS)} onChange={(cut) => onChange({ cut })} className="w-full" />
          </Named>
        )}
        {(family === 'C3' || (rug && plan.cut === 'shaped')) && (
          <Named label="Hem">
            <Picker label="Hem" value={plan.hem} options={options(HEMS, HEM_WORDS)} onChange={(hem) => onChange({ hem })} className="w-full" />
          </Named>
        )}
        {family !== 'C2' && family !== 'C4' && (
          <Named label="Fastening">
            <Picker
              label="Fastening"
              value={plan.fastening}
              options={options(FASTENINGS, FASTENING_WORDS)}
              onChange={(fastening) => onChange({ fastening })}
              className="w-full"
            />
          </Named>
        )}
      </div>
      {(rug || family === 'C3') && (
        <Toggles
          label="More"
          options={[
            ...(rug ? [{ value: 'growing' as const, label: 'Grows along' }] : []),
            ...(family === 'C3' || plan.cut === 'shaped' ? [{ value: 'darts' as const, label: 'Rump dart' }] : []),
          ]}
          isOn={(id) => plan[id]}
          onToggle={(id) => onChange({ [id]: !plan[id] })}
        />
      )}
    </section>
  )
}
