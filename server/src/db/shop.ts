import { freshOf, resources, USUAL_SHOP, type Change, type Fitter, type NewFitter, type ShopFields } from '@merry-tailor/core'
import { FitterFields, ShopFields as ShopSchema } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges, checkedChanges } from './changes.ts'
import type { Db } from './open.ts'
import { insert, recordOf, type Row } from './rows.ts'

const { fitters, shops } = resources

/** What the shop has agreed on; what was never set is as usual. */
export function readShop(db: Db): ShopFields {
  const row = db.prepare<[], Row>('SELECT * FROM shop WHERE one = 1').get()
  return row ? { ...USUAL_SHOP, ...recordOf(shops, row).fields } : USUAL_SHOP
}

export function changeShop(db: Db, changes: readonly Change[]): ShopFields {
  const next = checkedChanges(readShop(db), ShopSchema.shape, changes, 'the shop has')
  db.prepare('INSERT INTO shop (one, fields) VALUES (1, ?) ON CONFLICT (one) DO UPDATE SET fields = excluded.fields').run(JSON.stringify(next))
  return readShop(db)
}

export const listFitters = (db: Db): Fitter[] =>
  db
    .prepare<[], Row>('SELECT * FROM fitters ORDER BY name COLLATE NOCASE')
    .all()
    .map((row) => recordOf(fitters, row))

function requireFitter(db: Db, id: string): Fitter {
  const row = db.prepare<[string], Row>('SELECT * FROM fitters WHERE id = ?').get(id)
  if (!row) throw new ProblemError('not-found', 'There is no fitter under this id.')
  return recordOf(fitters, row)
}

/** Takes a fitter in; the same id again changes nothing, and two of one name are one too many. */
export function addFitter(db: Db, id: string, fitter: NewFitter): Fitter {
  const namesake = db.prepare<[string, string]>('SELECT 1 FROM fitters WHERE name = ? COLLATE NOCASE AND id <> ?').get(fitter.name, id)
  if (namesake)
    throw new ProblemError('name-taken', `There is a ${fitter.name} at the bench already.`, { fields: [{ path: 'name', message: 'this name is taken' }] })
  insert(db, fitters, freshOf(fitters, id, fitter))
  return requireFitter(db, id)
}

export const changeFitter = (db: Db, id: string, changes: readonly Change[]): Fitter =>
  applyChanges(db, fitters, requireFitter(db, id), FitterFields.shape, changes)
