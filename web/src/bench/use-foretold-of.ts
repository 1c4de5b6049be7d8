import {
  hitchLine,
  predictedBuild,
  pullPointOf,
  type FamilyId,
  type FingerGauge,
  type ForetellQuestion,
  type Form,
  type Piece,
  type SizeTable,
} from '@merry-tailor/core'
import { useMemo } from 'react'
import { useFittersQuery } from '../api/queries'
import { useAppSelector } from '../state/store'
import { useBenchForm } from './OpenBench'
import { useOpenTicket } from './open-ticket'

/** The fingers of whoever stands at the dog; `null`: anybody’s. */
export function useGauge(): FingerGauge | null {
  const { fitter } = useAppSelector((state) => state.settings)
  const { data: fitters = [] } = useFittersQuery(undefined)
  return fitters.find((each) => each.name === fitter)?.gauge ?? null
}

/** The rise of the ticket’s locked line for a family, radians; level where none is locked. */
export function useLineRise(family: FamilyId): number {
  const { sheet } = useOpenTicket()
  const { form } = useBenchForm()
  const locked = sheet.hitches.findLast((each) => !each.struck)
  return useMemo(() => {
    if (!locked) return 0
    const pullPointMm = pullPointOf(form, family).heightMm
    return locked.lineMm > Math.abs(locked.heightMm - pullPointMm) ? hitchLine({ pullPointMm, hitchMm: locked.heightMm, lineMm: locked.lineMm }).angleRad : 0
  }, [form, family, locked])
}

/** Something to lay on the dog. */
export type Worn = { kind: 'size'; table: SizeTable; label: string } | { kind: 'piece'; piece: Piece; table: SizeTable | null } | { kind: 'made' }

/** The question a thing asks of the dog in hand. */
export function questionOf(form: Form, family: FamilyId, gauge: FingerGauge | null, riseRad: number, worn: Worn): ForetellQuestion {
  const asked = { form, family, gauge, pull: { riseRad } }
  if (worn.kind === 'made') return { ...asked, made: true }
  const { table } = worn
  const size = table?.sizes.find((each) => each.label === (worn.kind === 'size' ? worn.label : worn.piece.label))
  const build = predictedBuild(worn.kind === 'piece' ? worn.piece : null, table)
  return {
    ...asked,
    build,
    ...(size ? { size: { bands: size.bands, ...(size.straps ? { straps: size.straps } : {}) } } : {}),
    ...(table?.strapWords ? { strapWords: table.strapWords } : {}),
    ...(worn.kind === 'piece' ? { piece: { flat: worn.piece.flat } } : {}),
  }
}
