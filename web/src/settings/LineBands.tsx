import type { LineBands as Bands } from '@merry-tailor/core'
import { SavedField, type SaveResult } from '../ui/controls/SavedField'

const FIELDS = [
  ['wheelBelowDeg', 'Wheel harness below, °', 'A line steeper down than this.'],
  ['fullToDeg', 'Full length up to, °', 'From there a half-back or short one.'],
  ['halfToDeg', 'Half-back up to, °', 'Steeper: a longer line or a lower hitch.'],
] as const

/** The angles at which one kind of harness gives way to the next; a line's angle above the level, from the dog. */
export function LineBands({ bands, onSet }: { bands: Bands; onSet: (bands: Bands) => Promise<SaveResult> }) {
  return (
    <section aria-label="The line’s angle" className="border-t-2 border-ink pt-3">
      <h2 className="text-[19px] leading-6">Which harness stands which line</h2>
      <div className="mt-2 grid grid-cols-3 gap-3">
        {FIELDS.map(([field, label, hint]) => (
          <SavedField
            key={field}
            label={label}
            hint={hint}
            value={String(bands[field])}
            onSave={async (typed) => {
              const value = Number(typed.replace(',', '.').replace('−', '-'))
              if (typed.trim() === '' || !Number.isFinite(value)) return { kept: false, problem: 'Degrees, such as 5 or -10.' }
              const next = { ...bands, [field]: value }
              if (!(next.wheelBelowDeg < next.fullToDeg && next.fullToDeg < next.halfToDeg))
                return { kept: false, problem: 'The three angles rise one after the other.' }
              return onSet(next)
            }}
          />
        ))}
      </div>
    </section>
  )
}
