import { families, wornFor, type GearLay, type Item } from '@merry-tailor/core'
import { useMemo } from 'react'
import { usePiecesQuery, useSizeTablesQuery } from '../api/queries'
import { useForetold } from '../form'
import { useBenchForm } from './OpenBench'
import { useOpenTicket } from './open-ticket'
import { questionOf, useGauge, useLineRise } from './use-foretold-of'
import { wornThing } from './worn-thing'

/** How what was chosen for an item lies in the pull: where its line leaves. `null` while nothing is chosen, or it pulls elsewhere. */
export function useTug(item: Item | undefined): GearLay | null {
  const { sheet } = useOpenTicket()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const family = item?.family ?? 'H01'
  const riseRad = useLineRise(family)
  const { data: tables } = useSizeTablesQuery(undefined)
  const { data: pieces } = usePiecesQuery(undefined)
  const choice = item && wornFor(sheet.choices, item.id)
  const pulls = item !== undefined && families[family].rig?.end != null
  const questions = useMemo(() => {
    const worn = pulls && choice ? wornThing({ choiceId: choice.id }, '', { choices: [choice], tables: tables ?? [], pieces: pieces ?? [] }) : null
    return worn && [{ ...questionOf(form, family, gauge, riseRad, worn), withoutSpread: true }]
  }, [pulls, choice, tables, pieces, form, family, gauge, riseRad])
  const found = useForetold(`tug ${item?.id ?? ''}`, questions)
  return (questions && found?.answers[0]?.laid?.pulling) ?? null
}
