import { PieceFields, type Change, type NewPiece, type Piece } from '@merry-tailor/core'
import { isDeepStrictEqual } from 'node:util'
import { ProblemError } from '../problems.ts'
import { applyChanges, json, plain, type Columns } from './changes.ts'
import { requireDog, requireReference } from './dogs.ts'
import type { Db } from './open.ts'

interface Row {
  id: string
  tag: string
  family: Piece['family']
  maker: string
  label: string
  table_id: string | null
  flat: string
  sliders: string
  home: Piece['home']
  holder: string
  wearer_id: string | null
  state: Piece['state']
  wear: string
  retired: string | null
  created_at: string
}

const toPiece = (row: Row): Piece => ({
  id: row.id,
  tag: row.tag,
  family: row.family,
  maker: row.maker,
  label: row.label,
  tableId: row.table_id,
  flat: JSON.parse(row.flat) as Piece['flat'],
  sliders: row.sliders,
  home: row.home,
  holder: row.holder,
  wearerId: row.wearer_id,
  state: row.state,
  wear: row.wear,
  retired: row.retired === null ? null : (JSON.parse(row.retired) as Piece['retired']),
  createdAt: row.created_at,
})

const columns: Columns = {
  table: 'pieces',
  fields: {
    tag: plain('tag'),
    family: plain('family'),
    maker: plain('maker'),
    label: plain('label'),
    tableId: plain('table_id'),
    flat: json('flat'),
    sliders: plain('sliders'),
    home: plain('home'),
    holder: plain('holder'),
    wearerId: plain('wearer_id'),
    state: plain('state'),
    wear: plain('wear'),
    retired: json('retired'),
  },
}

export const listPieces = (db: Db): Piece[] => db.prepare<[], Row>('SELECT * FROM pieces ORDER BY family, tag COLLATE NOCASE, id').all().map(toPiece)

function requirePiece(db: Db, id: string): Piece {
  const row = db.prepare<[string], Row>('SELECT * FROM pieces WHERE id = ?').get(id)
  if (!row) throw new ProblemError('not-found', 'There is no piece under this id.')
  return toPiece(row)
}

export function addPiece(db: Db, id: string, piece: NewPiece): Piece {
  if (piece.wearerId) requireReference(() => requireDog(db, piece.wearerId ?? ''), 'wearerId')
  db.prepare(
    `INSERT INTO pieces (id, tag, family, maker, label, table_id, flat, sliders, home, holder, wearer_id, state, wear, created_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  ).run(
    id,
    piece.tag,
    piece.family,
    piece.maker,
    piece.label,
    piece.tableId,
    JSON.stringify(piece.flat),
    piece.sliders,
    piece.home,
    piece.holder,
    piece.wearerId,
    piece.state,
    piece.wear,
    piece.at,
  )
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
  applyChanges(db, columns, id, now, PieceFields.shape, changes)
  return requirePiece(db, id)
}
