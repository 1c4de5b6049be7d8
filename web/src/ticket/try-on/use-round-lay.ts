import { families, type FamilyId, type ForetellQuestion, type Foretold, type StrapSides, type TryOn } from '@merry-tailor/core'
import { useMemo } from 'react'
import { usePiecesQuery, useSizeTablesQuery } from '../../api/queries'
import { pieceWorn, questionOf, useBenchForm, useGauge, useLineRise, useOpenTicket, wornThing, type Worn, strapsIn, type SetThing } from '../../bench'
import { useForetold } from '../../form'

export interface RoundLay {
  worn: Worn | null
  /** As it is set now; `lengths` says how far its straps go. */
  now: Foretold | null
  settings: Readonly<Record<string, StrapSides>>
  /** What its settings are kept of. */
  thing: SetThing
  riseRad: number
  /** What is asked of it; `null` where nothing is known of what is worn. */
  asked: readonly ForetellQuestion[] | null
  /** `now` answers what is asked. */
  isFresh: boolean
}

/** Drafting straps that end off the body are set by lengths of their own: they say nothing of where the harness lies. */
const OFF_BODY: ReadonlySet<string> = new Set(['upper', 'lower', 'belly', 'rear', 'loop'])
const onTheBody = (family: FamilyId, settings: Readonly<Record<string, StrapSides>>): Readonly<Record<string, StrapSides>> =>
  families[family].shelf === 'drafting' ? Object.fromEntries(Object.entries(settings).filter(([part]) => !OFF_BODY.has(part))) : settings

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
  const pieceId = of ? pieceWorn(of, sheet.choices) : null
  const thing = useMemo((): SetThing => ({ itemId, pieceId }), [itemId, pieceId])
  const settings = useMemo(() => strapsIn(sheet.settings, thing, sheet.dog?.id ?? null), [sheet.settings, thing, sheet.dog])
  const asked = useMemo(
    () => worn && [{ ...questionOf(form, family, gauge, riseRad, worn), set: onTheBody(family, settings) }],
    [worn, form, family, gauge, riseRad, settings],
  )
  const answered = useForetold(`${desk} ${itemId}`, asked)
  return { worn, now: answered?.answers[0] ?? null, settings, thing, riseRad, asked, isFresh: asked === null || answered?.questions === asked }
}

/** The same of what is only picked yet, named as text. */
export function useLayAhead(family: FamilyId, itemId: string, named: string, label: string): RoundLay {
  const picked = useMemo(() => ({ of: JSON.parse(named) as TryOn['of'], label }), [named, label])
  return useRoundLay(family, itemId, picked, 'pick')
}
