import { checksFor, type FamilyId, type Foretold, type Form, type Point3 } from '@merry-tailor/core'
import { placeOfCheck, type LaidState } from '../../bench'

interface At {
  x: number
  y: number
}

/** A finger hits so far beside, px. */
const REACH = 90

/** The symptoms that can be seen where the dog was pressed: those of the checks made there, nearest first. */
export function partAt(at: At, family: FamilyId, foretold: Foretold, form: Form, state: LaidState, on: (p: Point3) => At): string[] {
  const near = checksFor(family)
    .flatMap((check) => {
      const place = placeOfCheck({ check: check.id }, foretold, form, state)
      const p = place && on(place)
      const away = p ? Math.hypot(p.x - at.x, p.y - at.y) : Infinity
      return away <= REACH ? [{ check, away }] : []
    })
    .sort((a, b) => a.away - b.away)
  const nearest = near[0]?.away ?? 0
  return [...new Set(near.filter(({ away }) => away <= nearest + 30).flatMap(({ check }) => check.symptoms))]
}
