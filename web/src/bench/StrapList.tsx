import { strapsOf, type FamilyId } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useForetold } from '../form'
import { readingStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { lengthText } from '../ui/length/length-text'
import { strapName } from '../words/foretold'
import { useBenchForm } from './OpenBench'
import { questionOf, useGauge, useLineRise } from './use-foretold-of'

/** Every strap of a piece made to measure, as it should be sewn, and what it may be off by. */
export function StrapList({ family }: { family: FamilyId }) {
  const { form, solved } = useBenchForm()
  const gauge = useGauge()
  const riseRad = useLineRise(family)
  const settings = useAppSelector((state) => state.settings)
  const look = readingStyle(settings)
  const laid = strapsOf(family).length > 0
  const question = useMemo(
    () => (laid && solved ? [questionOf(form, family, gauge, riseRad, { kind: 'made' })] : null),
    [laid, solved, form, family, gauge, riseRad],
  )
  const foretold = useForetold(`straps ${family}`, question)?.answers[0]
  if (!foretold) return null
  return (
    <p>
      <b>Straps, worked out from the tapes:</b>{' '}
      {strapsOf(family)
        .map(({ id, ring }) => {
          const spread = foretold.madeSigmaMm?.[id]
          return `${strapName(id).toLowerCase()} ${lengthText(foretold.straps[id] ?? 0, look, true)} ${ring ? 'round' : 'one side'}${spread ? `, give or take ${lengthText(spread, look, true)}` : ''}`
        })
        .join('; ')}
      . A prediction: the maker’s own sheet goes first.
    </p>
  )
}
