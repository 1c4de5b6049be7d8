import {
  draftParts,
  draftStart,
  unevenSides,
  wornFor,
  type DraftPart,
  type DraftStart,
  type Grade,
  type Item,
  type Rig,
  type Setting,
  type StrapSides,
} from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { settingOf, strapsIn, useActs, useBenchForm, useGauge, useOpenTicket } from '../bench'
import { problemWords } from '../words/problems'

/** A rig’s numbers that straps hang on, where no rig is known yet: usual shafts and a usual hitch. Ours. */
const NO_RIG = { shaftMm: 25, stopMm: 45, hitchMm: 285 }

export interface DraftRow {
  part: DraftPart
  /** Two of it, left and right. */
  pair: boolean
  start: NonNullable<DraftStart['straps'][DraftPart]>
  now: StrapSides | null
  /** How what is set lies to its start. */
  grade: Grade
  /** The side to shorten, and by how much, where two differ over 5 mm. */
  shorten: { side: 'left' | 'right'; byMm: number } | null
}

export interface DraftStraps {
  start: DraftStart
  rows: DraftRow[]
  /** Of the thing these straps are of, on this dog. */
  settings: Readonly<Record<string, StrapSides>>
  own: readonly Setting[]
  set: (part: DraftPart, side: 'left' | 'right' | 'both', mm: number, mark?: string) => Promise<boolean>
  /** What is written where it stands: a hole’s number, a stitch. */
  markOf: (part: DraftPart, side: 'left' | 'right' | 'both') => string
  problem: string | null
}

const gradeOf = ({ leastMm, mostMm }: DraftRow['start'], now: StrapSides | null): Grade => {
  if (!now) return 'none'
  const room = (mostMm - leastMm) / 2
  const worst = Math.max(...[now.leftMm, now.rightMm ?? now.leftMm].map((mm) => Math.max(leastMm - mm, mm - mostMm)))
  return worst <= 0 ? 'holds' : worst <= room ? 'doubt' : 'fails'
}

/** Straps of a drafting harness on this dog: where each starts, how it is set; `null` where none can be laid. */
export function useDraftStraps(item: Item, rig: Rig | undefined): DraftStraps | null {
  const { sheet, body } = useOpenTicket()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const acts = useActs()
  const [problem, setProblem] = useState<string | null>(null)
  const { family, id: itemId } = item
  const choice = wornFor(sheet.choices, itemId)
  const pieceId = choice?.kind === 'gear' ? choice.pieceId : null
  const dogId = sheet.dog?.id ?? null
  const start = useMemo(() => {
    try {
      return draftStart({
        form,
        body,
        family,
        gauge,
        rig: rig ? { shaftMm: rig.shafts?.thickMm ?? NO_RIG.shaftMm, stopMm: rig.shafts?.stopMm ?? NO_RIG.stopMm, hitchMm: rig.hitch.heightMm } : NO_RIG,
      })
    } catch (found) {
      if (found instanceof RangeError) return null
      throw found
    }
  }, [form, body, family, gauge, rig])
  const own = useMemo(
    () => sheet.settings.filter((each) => ('itemId' in each.of ? each.of.itemId === itemId : each.of.pieceId === pieceId)),
    [sheet.settings, itemId, pieceId],
  )
  const settings = useMemo(() => strapsIn(own, { itemId, pieceId }, dogId), [own, itemId, pieceId, dogId])
  if (!start) return null
  return {
    start,
    settings,
    own,
    problem,
    rows: draftParts(family).flatMap(({ part, count }): DraftRow[] => {
      const strap = start.straps[part]
      if (!strap) return []
      const now = settings[part] ?? null
      const uneven = count > 1 && now ? unevenSides({ [part]: now })[0] : undefined
      return [
        {
          part,
          pair: count > 1,
          start: strap,
          now,
          grade: uneven ? 'doubt' : gradeOf(strap, now),
          shorten: uneven ? { side: uneven.longer, byMm: uneven.byMm } : null,
        },
      ]
    }),
    markOf: (part, side) =>
      own.findLast((each) => !each.struck && each.part === part && (side === 'both' || each.side === side || each.side === 'both'))?.mark ?? '',
    set: async (part, side, mm, mark = '') => {
      const { error } = await acts.set({ of: settingOf({ itemId, pieceId }), dogId, part, side, mm: Math.round(mm * 10) / 10, mark })
      setProblem(error ? `Not kept. ${problemWords(error)}` : null)
      return !error
    },
  }
}
