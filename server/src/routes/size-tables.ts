import { SizeTable } from '@merry-tailor/core/schemas'
import { z } from 'zod'
import { addSizeTable, countSizeTables, listSizeTables } from '../db/size-tables.ts'
import { ProblemError } from '../problems.ts'
import { once, typed, type Routes } from './typed-routes.ts'

const params = z.object({ id: z.string().max(60), version: z.coerce.number().int().min(1) })

export const sizeTableRoutes: Routes = (app, desk) => {
  const { db } = desk
  const api = typed(app)
  // Versions are only added: how many there are says which list it is. A device that has it gets no body.
  api.get('/api/size-tables', (request, reply) => {
    const { book, epoch } = desk.head
    const tag = `"${book}-${epoch}-${countSizeTables(db)}"`
    void reply.header('etag', tag).header('cache-control', 'private, no-cache')
    return request.headers['if-none-match'] === tag ? reply.code(304).send() : listSizeTables(db)
  })
  api.put('/api/size-tables/:id/:version', { schema: { params, body: SizeTable } }, (request) => {
    const { id, version } = request.params
    if (request.body.id !== id || request.body.version !== version)
      throw new ProblemError('bad-request', 'The table names another id or version than its address.')
    return once(desk, request, () => addSizeTable(db, request.body, new Date().toISOString()))
  })
}
