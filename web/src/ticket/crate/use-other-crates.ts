import { families, type Box } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useDayQuery, useSheets } from '../../api/queries'
import { useToday } from '../../state/use-today'
import { isCrate, KINDS, outerOf } from './crate-kinds'

/** Crates other dogs of the same owner were given, on open tickets: what may ride beside. */
export function useOtherCrates(ownerId: string | null, ticketId: string): readonly { name: string; outer: Box }[] {
  const { data: day } = useDayQuery(useToday())
  const ids = useMemo(
    () =>
      ownerId === null
        ? []
        : (day?.rows ?? []).filter((row) => row.ticketId !== ticketId && row.families.some((family) => families[family].shelf === 'crate')).map((row) => row.ticketId),
    [day, ownerId, ticketId],
  ) // prettier-ignore
  const sheets = useSheets(ids)
  return useMemo(
    () =>
      [...sheets.values()].flatMap((sheet) => {
        if (sheet.owner?.id !== ownerId) return []
        const choice = sheet.choices.findLast((each) => each.kind === 'series')
        if (choice?.kind !== 'series' || !isCrate(choice.family)) return []
        const [lengthMm, widthMm, heightMm] = choice.insideMm
        return [{ name: `${sheet.dog?.name ?? 'another dog'}’s ${KINDS[choice.family].toLowerCase()} ${choice.label}`, outer: outerOf({ lengthMm, widthMm, heightMm }) }]
      }),
    [sheets, ownerId],
  ) // prettier-ignore
}
