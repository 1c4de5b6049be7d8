import { families, sliderMoves, strapsOf, type FamilyId, type Setting, type StrapMove, type StrapSides } from '@merry-tailor/core'
import type { SetThing } from '../../bench'
import { strapName } from '../../words/foretold'

/** Sliders moved between two sets of settings. */
export function movesBetween(family: FamilyId, before: Readonly<Record<string, StrapSides>>, now: Readonly<Record<string, StrapSides>>): StrapMove[] {
  const known: readonly string[] = [...strapsOf(family).map(({ id }) => id), ...(families[family].rig?.off ?? [])]
  const own = (of: Readonly<Record<string, StrapSides>>) => Object.fromEntries(Object.entries(of).filter(([id]) => known.includes(id)))
  return sliderMoves(family, own(before), own(now)).map(({ strap, side, byMm }) => ({ strap, side, byMm: Math.round(byMm * 10) / 10 }))
}

/** Settings a round begins with, by id. */
export const settingIds = (settings: readonly Setting[], { itemId, pieceId }: SetThing): string[] =>
  settings.filter((each) => !each.struck && ('itemId' in each.of ? each.of.itemId === itemId : each.of.pieceId === pieceId)).map(({ id }) => id)

/** “Neck in 1/2 in”, left and right alike as one. */
export function movedWords(moves: readonly StrapMove[], say: (mm: number) => string): string[] {
  return moves.flatMap(({ strap, side, byMm }, i) => {
    const other = moves[i + 1]
    const before = moves[i - 1]
    const alike = (each: StrapMove | undefined): boolean => each?.strap === strap && Math.abs(each.byMm - byMm) < 1
    if (side === 'right' && before?.side === 'left' && alike(before)) return []
    const both = side === 'left' && other?.side === 'right' && alike(other)
    return [`${strapName(strap)}${side === null || both ? '' : ` ${side}`} ${byMm < 0 ? 'in' : 'out'} ${say(Math.abs(byMm))}`]
  })
}

/** “3 min 10 s”. */
export function spanWords(seconds: number): string {
  const [minutes, rest] = [Math.floor(seconds / 60), Math.round(seconds % 60)]
  if (minutes >= 60) return `${Math.floor(minutes / 60)} h ${minutes % 60} min`
  return minutes === 0 ? `${rest} s` : rest === 0 ? `${minutes} min` : `${minutes} min ${rest} s`
}
