import { Changes, Day, Id, NewFitter } from '@merry-tailor/core'
import { KennelImport } from '@merry-tailor/core/formats'
import { z } from 'zod'
import { Book, bringBack, copyOut } from '../db/book.ts'
import { kennelList, takeKennelList } from '../db/kennel.ts'
import { remindersOn } from '../db/reminders.ts'
import { addFitter, changeFitter, changeShop, listFitters, readShop } from '../db/shop.ts'
import { inOneTransaction, typed, type Routes } from './typed.ts'

const params = z.object({ id: Id })

/** A whole book with photographs may be this large, a kennel list of 5,000 dogs with readings too. */
const BOOK_LIMIT = 512 * 1024 * 1024
const LIST_LIMIT = 32 * 1024 * 1024

export const shopRoutes: Routes = (app, db) => {
  const api = typed(app)
  api.get('/api/shop', () => readShop(db))
  api.patch('/api/shop', { schema: { body: Changes } }, (request) => inOneTransaction(db, () => changeShop(db, request.body.changes)))

  api.get('/api/fitters', () => listFitters(db))
  api.put('/api/fitters/:id', { schema: { params, body: NewFitter } }, (request) => inOneTransaction(db, () => addFitter(db, request.params.id, request.body)))
  api.patch('/api/fitters/:id', { schema: { params, body: Changes } }, (request) =>
    inOneTransaction(db, () => changeFitter(db, request.params.id, request.body.changes)),
  )

  api.get('/api/reminders', { schema: { querystring: z.object({ on: Day }) } }, (request) => remindersOn(db, request.query.on))

  api.post('/api/kennel-list', { bodyLimit: LIST_LIMIT, schema: { body: KennelImport } }, (request) =>
    inOneTransaction(db, () => takeKennelList(db, request.body)),
  )

  api.get('/api/kennel-list.csv', (_, reply) =>
    reply.header('content-disposition', 'attachment; filename="kennel-list.csv"').type('text/csv; charset=utf-8').send(kennelList(db)),
  )

  api.get('/api/book', (_, reply) => {
    reply.header('content-disposition', 'attachment; filename="merry-tailor-book.json"')
    return copyOut(db)
  })
  api.put('/api/book', { bodyLimit: BOOK_LIMIT, schema: { body: Book, querystring: z.object({ replace: z.enum(['yes', 'no']).default('no') }) } }, (request) =>
    bringBack(db, request.body, request.query.replace === 'yes'),
  )
}
