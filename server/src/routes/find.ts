import { z } from 'zod'
import { find } from '../db/search.ts'
import { typed, type Routes } from './typed-routes.ts'

export const findRoutes: Routes = (app, { db }) => {
  typed(app).get('/api/find', { schema: { querystring: z.object({ q: z.string().max(80) }) } }, (request) => find(db, request.query.q))
}
