import { HITCH_DEFAULTS, hitchLine, lineBandsOf, pullPointOf, type Hitch } from '@merry-tailor/core'
import { useBenchForm, useOpenTicket } from '../../bench'
import { readingStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useShop } from '../../state/use-shop'
import { lengthText } from '../../ui/length/length-text'
import { lowerFirst } from '../../words/first-letter'
import { HITCH_NAMES, KIT_NAMES, lineWords, riseWords } from '../../words/hitch'
import { familyName } from '../../words/stages'

/** The line to the other end, in the shop's unit, and what belongs between as a list to tick. */
export function HitchPart() {
  const { sheet } = useOpenTicket()
  const kept = sheet.hitches.filter((hitch) => !hitch.struck)
  // The newest of a kind counts.
  const newest = kept.filter((hitch, i) => !kept.some((later, j) => j > i && later.family === hitch.family))
  if (newest.length === 0) return null
  return (
    <section>
      <h2>Line and hitch</h2>
      {newest.map((hitch) => (
        <Line key={hitch.id} hitch={hitch} />
      ))}
    </section>
  )
}

function Line({ hitch }: { hitch: Hitch }) {
  const { form } = useBenchForm()
  const bands = lineBandsOf(useShop().lineBands)
  const settings = useAppSelector((state) => state.settings)
  const look = { ...readingStyle(settings), unit: settings.unit }
  const pullMm = pullPointOf(form, hitch.family).heightMm
  const reaches = hitch.lineMm > Math.abs(hitch.heightMm - pullMm)
  return (
    <>
      <p>
        {hitch.family ? <b>{familyName(hitch.family)}: </b> : null}
        line {lineWords(hitch.lineMm, look.unit)} to {lowerFirst(HITCH_NAMES[hitch.where])}, {lengthText(hitch.heightMm, look, true)} above the floor
        {reaches ? `; ${lowerFirst(riseWords(hitchLine({ pullPointMm: pullMm, hitchMm: hitch.heightMm, lineMm: hitch.lineMm }, bands), look))}, predicted` : ''}
        .
      </p>
      <ul className="docket-ticks">
        {HITCH_DEFAULTS[hitch.where].kit.map((part) => (
          <li key={part}>☐ {KIT_NAMES[part]}</li>
        ))}
      </ul>
    </>
  )
}
