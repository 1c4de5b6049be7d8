import type { Piece } from './piece.schema.ts'
import { json, resource } from './resource.ts'

export type { NewPiece, Piece, PieceFields, PieceHome, PieceState, Retired } from './piece.schema.ts'

export const pieces = resource<Piece>({
  name: 'piece',
  table: 'pieces',
  address: '/pieces',
  tags: ['Pieces'],
  columns: {
    id: 'id',
    tag: 'tag',
    family: 'family',
    maker: 'maker',
    label: 'label',
    tableId: 'table_id',
    flat: json('flat'),
    build: 'build',
    sliders: 'sliders',
    home: 'home',
    holder: 'holder',
    wearerId: 'wearer_id',
    state: 'state',
    wear: 'wear',
    retired: json('retired'),
    createdAt: 'created_at',
  },
  made: 'createdAt',
  defaults: { retired: null },
})
