import { FitterFields, ShopFields, USUAL_SHOP, type Change, type Fitter, type NewFitter } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { applyChanges, checkedChanges, flag, json, plain, type Columns } from './changes.ts'
import type { Db } from './open.ts'

/** What the shop has agreed on; what was never set is as usual. */
export function readShop(db: Db): ShopFields {
  const row = db.prepare<[], { fields: string }>('SELECT fields FROM shop WHERE one = 1').get()
  return row ? { ...USUAL_SHOP, ...(JSON.parse(row.fields) as Partial<ShopFields>) } : USUAL_SHOP
}

export function changeShop(db: Db, changes: readonly Change[]): ShopFields {
  const next = checkedChanges(readShop(db), ShopFields.shape, changes, 'the shop has')
  db.prepare('INSERT INTO shop (one, fields) VALUES (1, ?) ON CONFLICT (one) DO UPDATE SET fields = excluded.fields').run(JSON.stringify(next))
  return readShop(db)
}

interface FitterRow {
  id: string
  name: string
  gauge: string | null
  left: number
  created_at: string
}

const toFitter = (row: FitterRow): Fitter => ({
  id: row.id,
  name: row.name,
  gauge: row.gauge === null ? null : (JSON.parse(row.gauge) as Fitter['gauge']),
  left: row.left === 1,
  createdAt: row.created_at,
})
const columns: Columns = { table: 'fitters', fields: { name: plain('name'), gauge: json('gauge'), left: flag('left') } }

export const listFitters = (db: Db): Fitter[] => db.prepare<[], FitterRow>('SELECT * FROM fitters ORDER BY name COLLATE NOCASE').all().map(toFitter)

function requireFitter(db: Db, id: string): Fitter {
  const row = db.prepare<[string], FitterRow>('SELECT * FROM fitters WHERE id = ?').get(id)
  if (!row) throw new ProblemError('not-found', 'There is no fitter under this id.')
  return toFitter(row)
}

/** Takes a fitter in; the same id again changes nothing, and two of one name are one too many. */
export function addFitter(db: Db, id: string, fitter: NewFitter): Fitter {
  const namesake = db.prepare<[string, string]>('SELECT 1 FROM fitters WHERE name = ? COLLATE NOCASE AND id <> ?').get(fitter.name, id)
  if (namesake)
    throw new ProblemError('name-taken', `There is a ${fitter.name} at the bench already.`, { fields: [{ path: 'name', message: 'this name is taken' }] })
  db.prepare('INSERT INTO fitters (id, name, created_at) VALUES (?, ?, ?) ON CONFLICT (id) DO NOTHING').run(id, fitter.name, fitter.at)
  return requireFitter(db, id)
}

export function changeFitter(db: Db, id: string, changes: readonly Change[]): Fitter {
  applyChanges(db, columns, id, requireFitter(db, id), FitterFields.shape, changes)
  return requireFitter(db, id)
}
