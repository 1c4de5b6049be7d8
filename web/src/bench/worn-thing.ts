import { labelsOf, tableOf, type Choice, type Piece, type SizeTable, type TryOn } from '@merry-tailor/core'
import type { Worn } from './use-foretold-of'

interface Known {
  choices: readonly Choice[]
  tables: readonly SizeTable[]
  pieces: readonly Piece[]
}

/** What a round has on the dog, as a thing to lay; `null` where only its name is known. */
export function wornThing(of: TryOn['of'], label: string, { choices, tables, pieces }: Known): Worn | null {
  const pieceOf = (id: string): Worn | null => {
    const piece = pieces.find((each) => each.id === id)
    return piece ? { kind: 'piece', piece, table: tables.find((each) => each.id === piece.tableId) ?? null } : null
  }
  const sizeOf = (named: { tableId: string; tableVersion: number } | null, size: string): Worn | null => {
    const table = named && tables.find((each) => each.id === named.tableId && each.version === named.tableVersion)
    return table?.sizes.some((each) => each.label === size) ? { kind: 'size', table, label: size } : null
  }
  if ('pieceId' in of) return pieceOf(of.pieceId)
  if ('tableId' in of) return sizeOf(of, label)
  if (!('choiceId' in of)) return null
  const choice = choices.find((each) => each.id === of.choiceId)
  if (!choice) return null
  if (choice.kind === 'gear') return pieceOf(choice.pieceId)
  if (choice.kind === 'made') return { kind: 'made' }
  return sizeOf(tableOf(choice), labelsOf(choice).includes(label) ? label : (labelsOf(choice)[0] ?? label))
}

/** The piece of ours a round has on the dog; `null` where it is none. */
export function pieceWorn(of: TryOn['of'], choices: readonly Choice[]): string | null {
  if ('pieceId' in of) return of.pieceId
  const choice = 'choiceId' in of ? choices.find((each) => each.id === of.choiceId) : undefined
  return choice?.kind === 'gear' ? choice.pieceId : null
}
