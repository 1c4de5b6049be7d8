import { breakIn, symptomsFor, type BootOuting } from '@merry-tailor/core'
import { useMemo } from 'react'
import { Problem } from '../ui/controls/Problem'

const seenWords = (id: string): string =>
  symptomsFor('B1', [])
    .find((each) => each.id === id)
    ?.name.toLowerCase() ?? 'it hurts'

/** What comes next in getting a dog used to boots, from how it went so far; what hurts stops them. */
export function GettingUsed({ outings }: { outings: readonly BootOuting[] }) {
  const next = useMemo(() => {
    const rounds = outings.filter((each) => !each.removed).toReversed()
    return breakIn(rounds.map((each) => ({ minutes: each.minutes ?? 0, seen: Object.values(each.paws).flatMap((paw) => paw.seen) })))
  }, [outings])
  return (
    <>
      {next.stop && <Problem barred>Stop: {seenWords(next.stop)}. Boots off, look at the paw; if it goes on, ask the vet.</Problem>}
      <p>
        <b>Getting used to them, step {next.step} of 4:</b> {next.paws === 'one-pair' ? 'one pair' : 'all four'}, {next.where},{' '}
        {next.minutes[0] === next.minutes[1] ? next.minutes[0] : `${next.minutes[0]} to ${next.minutes[1]}`} min. High steps fade; straps again after a minute.
      </p>
    </>
  )
}
