import { freshOf, resources, type Change, type NewPiece, type Piece } from '@merry-tailor/core'
import { PieceFields } from '@merry-tailor/core/schemas'
import { isDeepStrictEqual } from 'node:util'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import { requireDog } from './dogs.ts'
import type { Db } from './open.ts'
import { requireReference } from './references.ts'
import { insert, recordOf, type Row } from './rows.ts'

const { pieces } = resources

export const listPieces = (db: Db): Piece[] =>
  db
    .prepare<[], Row>('SELECT * FROM pieces ORDER BY family, tag COLLATE NOCASE, id')
    .all()
    .map((row) => recordOf(pieces, row))

export function requirePiece(db: Db, id: string): Piece {
  const row = db.prepare<[string], Row>('SELECT * FROM pieces WHERE id = ?').get(id)
  if (!row) throw new ProblemError('not-found', 'There is no piece under this id.')
  return recordOf(pieces, row)
}

export function addPiece(db: Db, id: string, piece: NewPiece): Piece {
  if (piece.wearerId) requireReference(() => requireDog(db, piece.wearerId ?? ''), 'wearerId')
  insert(db, pieces, freshOf(pieces, id, piece))
  return requirePiece(db, id)
}

/** Changes single fields. What was in a crash in the car stays retired. */
export function changePiece(db: Db, id: string, changes: readonly Change[]): Piece {
  const now = requirePiece(db, id)
  for (const { field, to } of changes) {
    if (field === 'wearerId' && typeof to === 'string') requireReference(() => requireDog(db, to), 'wearerId')
    if (field === 'retired' && now.retired?.why === 'crash' && !isDeepStrictEqual(to, now.retired))
      throw new ProblemError('retired-for-good', `${now.tag} was in a crash; it stays retired. A crash can weaken it where no eye sees it.`)
  }
  return applyChanges(db, pieces, now, PieceFields.shape, changes)
}
