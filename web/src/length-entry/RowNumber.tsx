import { measures } from '@merry-tailor/core'
import { readingStyle, valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { Length } from '../ui/length/Fraction'
import { weightText } from '../words/measuring'

/** A value of a row: a length, a weight, or the word that there is no dewclaw. */
export function RowNumber({ measure, mm, fine = false, stacked = false }: { measure: string; mm: number; fine?: boolean; stacked?: boolean }) {
  const settings = useAppSelector((state) => state.settings)
  if (measures[measure]?.quantity === 'mass') return <>{weightText(mm, settings.unit)}</>
  if (mm === 0) return <>none</>
  return <Length mm={mm} look={fine ? readingStyle(settings) : valueStyle(settings)} unit={!fine} stacked={stacked} />
}
