import { settingsNow, strapsOf, type FamilyId, type ForetellQuestion, type Foretold, type StrapSides, type TryOn } from '@merry-tailor/core'
import { useMemo } from 'react'
import { usePiecesQuery, useSizeTablesQuery } from '../../api/queries'
import { questionOf, useBenchForm, useGauge, useLineRise, useOpenTicket, type Worn } from '../../bench'
import { useForetold } from '../../form'
import { wornThing } from './worn-thing'

export interface RoundLay {
  worn: Worn | null
  /** As it was sewn or stands in its middle. */
  own: Foretold | null
  /** As it is set now. */
  now: Foretold | null
  settings: Readonly<Record<string, StrapSides>>
  riseRad: number
  /** Nothing of it is still being worked out. */
  isFresh: boolean
}

/** What a thing’s round is asked: the question of what is worn. */
export function useWornQuestion(family: FamilyId): (of: TryOn['of'], label: string) => ForetellQuestion | null {
  const { sheet } = useOpenTicket()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const riseRad = useLineRise(family)
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const { data: pieces = [] } = usePiecesQuery(undefined)
  return (of, label) => {
    const worn = wornThing(of, label, { choices: sheet.choices, tables, pieces })
    return worn && questionOf(form, family, gauge, riseRad, worn)
  }
}

/**
 * Where what a round has on the dog lies, as it is set now.
 *
 * @param desk whose question it is: questions of one desk cancel each other
 */
export function useRoundLay(family: FamilyId, itemId: string, round: Pick<TryOn, 'of' | 'label'> | undefined, desk = 'round'): RoundLay {
  const { sheet } = useOpenTicket()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const riseRad = useLineRise(family)
  const { data: tables } = useSizeTablesQuery(undefined)
  const { data: pieces } = usePiecesQuery(undefined)
  const { of, label } = round ?? {}
  const worn = useMemo(
    () => (of && label !== undefined ? wornThing(of, label, { choices: sheet.choices, tables: tables ?? [], pieces: pieces ?? [] }) : null),
    [of, label, sheet.choices, tables, pieces],
  )
  const asked = useMemo(() => (worn ? [questionOf(form, family, gauge, riseRad, worn)] : null), [worn, form, family, gauge, riseRad])
  const first = useForetold(`${desk} ${itemId}`, asked)
  const own = first?.answers[0] ?? null
  const settings = useMemo(() => settingsNow(sheet.settings, { itemId }, sheet.dog?.id ?? null), [sheet.settings, itemId, sheet.dog])
  const set = useMemo(() => {
    if (!own?.laid || Object.keys(settings).length === 0) return null
    const straps = Object.fromEntries(
      strapsOf(family).map(({ id, ring }) => {
        const sides = settings[id]
        // A ring is set by both its sides together; another strap lies as its longer side lets it.
        const mm = sides
          ? ring
            ? (sides.leftMm + (sides.rightMm ?? sides.leftMm)) / 2
            : Math.max(sides.leftMm, sides.rightMm ?? sides.leftMm)
          : own.straps[id]
        return [id, mm ?? 0]
      }),
    )
    return [questionOf(form, family, gauge, riseRad, { kind: 'straps', straps })]
  }, [own, settings, family, form, gauge, riseRad])
  const second = useForetold(`${desk}, set ${itemId}`, set)
  const now = second?.answers[0] ?? null
  const isFresh = (asked === null || first?.questions === asked) && (set === null || second?.questions === set)
  return { worn, own, now: set ? (now ?? own) : own, settings, riseRad, isFresh }
}

/** The same of what is only picked yet, named as text. */
export function useLayAhead(family: FamilyId, itemId: string, named: string, label: string): RoundLay {
  const picked = useMemo(() => ({ of: JSON.parse(named) as TryOn['of'], label }), [named, label])
  return useRoundLay(family, itemId, picked, 'pick')
}
