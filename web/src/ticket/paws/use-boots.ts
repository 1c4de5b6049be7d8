import { gaugeBlock, pawTable, type Item, type Offer, type PawSize, type SizeTable } from '@merry-tailor/core'
import type { BootRow } from '@merry-tailor/core/formats'
import { useMemo } from 'react'
import { useBenchForm, useGauge, useOpenTicket, useRanked } from '../../bench'
import { pawName } from '../../words/measuring'
import { isHind, pawNow, PAWS, type PawId, type PawNow } from './paw-data'
import { strapOf, type LegStrap } from './strap-of'

export interface BootPaw {
  now: PawNow
  size: PawSize['size']
  /** The chart as it sizes this paw. */
  table: SizeTable | null
  dewclaw: boolean
  leg: LegStrap | null
}

export interface Boots {
  offer: Extract<Offer, { kind: 'paws' }> | null
  /** The size of each paw that has one. */
  labels: Readonly<Record<string, string>>
  paws: readonly BootPaw[]
  /** How many of each: `3 Large, 1 Small`; empty while no paw has a size. */
  counted: string
  /** As they are ordered, a row a paw. */
  rows: readonly BootRow[]
}

/** Boots for a dog, paw by paw: as it stands, its size, its strap. */
export function useBoots(item: Item | undefined): Boots {
  const { sheet } = useOpenTicket()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const { ranked, body } = useRanked(item)
  return useMemo(() => {
    const offer = ranked.find((each) => each.kind === 'paws') ?? null
    const one = gaugeBlock('one', gauge)
    const dewclawOf = (paw: PawId): boolean => {
      const read = sheet.readings.findLast((each) => !each.struck && each.measure === 'M37' && each.place === paw)
      return read ? read.dewclaw !== 'none' : !isHind(paw)
    }
    const paws = PAWS.map((paw): BootPaw => {
      const dewclaw = dewclawOf(paw)
      return {
        now: pawNow(paw, sheet.tracings, body, form),
        size: offer?.paws.find((each) => each.paw === paw)?.size ?? null,
        table: offer ? pawTable(offer.table, paw) : null,
        dewclaw,
        leg: strapOf(paw, body, form, one, dewclaw),
      }
    })
    const labels = Object.fromEntries(paws.flatMap(({ now, size }) => (size && size.grade !== 'fails' ? [[now.paw, size.label] as const] : [])))
    const rows = paws.map(({ now, leg }): BootRow => ({
      paw: pawName(now.paw),
      widthMm: now.width?.from === 'read' ? now.width.mm : null,
      lengthMm: now.length?.from === 'read' ? now.length.mm : null,
      label: labels[now.paw] ?? '',
      strap: leg?.place.at ? { ...leg.place, at: leg.place.at } : null,
      nails: now.tracing?.nails ?? '',
    }))
    const each = Object.values(labels).reduce<Record<string, number>>((sum, label) => ({ ...sum, [label]: (sum[label] ?? 0) + 1 }), {})
    const counted = Object.entries(each)
      .map(([label, n]) => `${n} ${label}`)
      .join(', ')
    return { offer, labels, paws, counted, rows }
  }, [ranked, gauge, sheet.readings, sheet.tracings, body, form])
}
