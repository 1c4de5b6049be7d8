import { insideOf, throughOpening, type CrateCheck, type Form, type Grade, type Inside, type Posture, type SizedBody } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useCarsQuery } from '../../api/queries'
import { useInsides } from '../../bench'
import { useCrates } from '../../form'
import type { CrateBench } from '../../workers/crate-offers'
import { outerOf, type CrateKind } from './crate-kinds'

/** A crate that can be chosen, with what it leaves of each clearance. */
export interface CrateChoice {
  key: string
  family: CrateKind
  label: string
  checks: readonly CrateCheck[]
  grade: Grade
  inside: Inside
  /** How the dog turns round in it; none where it does not. */
  path: readonly Posture[]
  measured: boolean
  /** Through the opening of the owner's car, level; `null` where none was measured. */
  opening: { grade: Grade; roomMm: number } | null
}

/** A tape in a car is off by about so much, mm. Ours. */
export const CAR_DOUBT = 10
export const gradeInCar = (mm: number): Grade => (mm >= CAR_DOUBT ? 'holds' : mm < -CAR_DOUBT ? 'fails' : 'doubt')

/** Cars, the owner's own first, those with a measured load space before others. */
export function useCars(ownerId: string | null) {
  const { data: cars = [] } = useCarsQuery(undefined)
  return useMemo(
    () => [...cars].sort((a, b) => Number(b.ownerId === ownerId) - Number(a.ownerId === ownerId) || Number(b.space !== null) - Number(a.space !== null)),
    [cars, ownerId],
  )
}

/** None missed first, then most held; of those alike the smaller. */
export function inOrderOfClearance<T extends Pick<CrateChoice, 'checks' | 'opening'>>(sizes: readonly T[]): T[] {
  const count = ({ checks, opening }: T, grade: string): number => checks.filter((each) => each.grade === grade).length + (opening?.grade === grade ? 1 : 0)
  return [...sizes].sort((a, b) => count(a, 'fails') - count(b, 'fails') || count(a, 'doubt') - count(b, 'doubt'))
}

/**
 * Crates a dog may get, in order: all of the kind asked for, and of the other kinds those somebody measured inside, for
 * only they are known to differ.
 */
export function useCrateChoices(
  family: CrateKind,
  { body, form, bedMm, ownerId }: { body: SizedBody; form: Form; bedMm: number; ownerId: string | null },
): { bench: CrateBench | null; choices: readonly CrateChoice[]; car: { name: string; highMm: number } | null } {
  const insides = { K1: useInsides('K1'), K2: useInsides('K2'), K3: useInsides('K3') }
  const { K1, K2, K3 } = insides
  const asked = useMemo(() => {
    const of = (kind: CrateKind, own: typeof K1) => (kind === family || Object.keys(own).length > 0 ? { body, form, bedMm, insides: own } : null)
    return { K1: of('K1', K1), K2: of('K2', K2), K3: of('K3', K3) }
  }, [family, body, form, bedMm, K1, K2, K3])
  const found = { K1: useCrates(asked.K1), K2: useCrates(asked.K2), K3: useCrates(asked.K3) }
  const { K1: wire, K2: travel, K3: soft } = found
  const [car] = useCars(ownerId).filter((each) => each.ownerId === ownerId && each.space?.opening)
  const opening = car?.space?.opening ?? null
  const choices = useMemo(() => {
    const all = ([['K1', wire, K1], ['K2', travel, K2], ['K3', soft, K3]] as const).flatMap(([kind, bench, own]) =>
      (bench?.found.sizes ?? []).filter(({ label }) => kind === family || own[label]).map(({ label, checks, grade }): CrateChoice => {
        const inside = own[label] ?? insideOf(label)
        const outer = outerOf(inside)
        const roomMm = opening && roomIn(opening, outer)
        return { key: `${kind} ${label}`, family: kind, label, checks, grade, inside, path: bench?.turns[label] ?? [], measured: own[label] !== undefined, opening: roomMm === null ? null : { roomMm, grade: gradeInCar(roomMm) } }
      }),
    ) // prettier-ignore
    return inOrderOfClearance(all)
  }, [family, wire, travel, soft, K1, K2, K3, opening])
  return { bench: found[family], choices, car: car && opening ? { name: car.name, highMm: Math.max(...opening.map(([, z]) => z)) } : null }
}

function roomIn(opening: readonly (readonly [number, number])[], outer: { widthMm: number; heightMm: number }): number | null {
  try {
    return throughOpening(opening, outer).roomMm
  } catch {
    return null
  }
}
