import { formatWeight, type LengthStyle, type RankedSize } from '@merry-tailor/core'
import type { OfferFace } from '../words/offer-face'
import { lengthText } from '../ui/length/length-text'
import { Worded } from '../ui/length/Worded'

const CUTS = { roomy: 'cut roomy', true: 'cut true to size', snug: 'cut snug' } as const

/** The maker's own words on fit, and what is missing where that can hurt. They go before the family's defaults. */
export function MakerSays({
  table,
  size,
  weightKg,
  look,
}: {
  table: Pick<OfferFace, 'rules' | 'between' | 'maker' | 'sizes' | 'family'>
  size: RankedSize | undefined
  weightKg: number | null
  look: LengthStyle & { unit: 'in' | 'cm' }
}) {
  const { rules, between, maker } = table
  const testedKg = table.sizes.find((each) => each.label === size?.label)?.testedKg
  const says = [
    ...(rules?.fingers
      ? [`${rules.fingers[0] === rules.fingers[1] ? rules.fingers[0] : `${rules.fingers[0]} to ${rules.fingers[1]}`} fingers under a strap`]
      : []),
    ...(rules?.cut ? [CUTS[rules.cut]] : []),
    ...(between ? [`between two sizes go ${between}`] : []),
    ...(testedKg ? [`${size?.label ?? ''} tested to ${formatWeight(testedKg, look.unit === 'in' ? 'lb' : 'kg')}`] : []),
  ]
  // What a maker leaves unsaid is only worth a word where it can hurt.
  const untested = table.family === 'H24' && !testedKg
  const straps = table.sizes.find((each) => each.label === size?.label)?.straps ?? {}
  return (
    <>
      <p className="mt-2">
        {says.length > 0 && (
          <>
            <b>{maker} says:</b> {says.join('; ')}.{' '}
          </>
        )}
        {untested && <b className="text-chalk">Nothing from {maker} on the heaviest dog it was tested with: ask.</b>}
      </p>
      {Object.keys(straps).length > 0 && (
        <p className="mt-1 text-[14px] text-mute">
          <Worded
            text={`Straps, from and to: ${Object.entries(straps)
              .map(([name, [from, to]]) => `${name} ${lengthText(from, look)} to ${lengthText(to, look, true)}`)
              .join('; ')}.`}
          />
        </p>
      )}
      {testedKg !== undefined && weightKg !== null && weightKg > testedKg && (
        <p className="mt-1 font-bold text-snag">Heavier than the dog it was tested with. Ask the maker; not for the car as it is.</p>
      )}
    </>
  )
}
