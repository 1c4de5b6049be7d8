import { dayIn, PHOTO_BYTES } from '@merry-tailor/core'
import {
  Changes,
  Id,
  Moment,
  NewDog,
  NewDogJoin,
  NewDogNote,
  NewBootOuting,
  NewOuting,
  NewTracing,
  NewWeighing,
  PhotoView,
  line,
} from '@merry-tailor/core/schemas'
import { BodySheet, bodySheetSchema, bodySheetToCsv, bodySheetToJson, formSheetToCsv, formSheetToJson, sidePlateSvg } from '@merry-tailor/core/formats'
import { z } from 'zod'
import { bodySheetOf, takeBodySheet } from '../db/body-sheets.ts'
import { addDogNote, changeDogNote } from '../db/dog-notes.ts'
import { changeDogJoin, joinDogs } from '../db/dog-joins.ts'
import { addDog, changeDog, listDogs } from '../db/dogs.ts'
import { outings } from '../db/outings.ts'
import { bootOutings, tracings } from '../db/paws.ts'
import { dogsPage } from '../db/dogs-page.ts'
import { addPhoto, pictureOf, removePhoto } from '../db/photos.ts'
import { dogSheet } from '../db/sheets.ts'
import { readShop } from '../db/shop.ts'
import { addWeighing } from '../db/weighings.ts'
import { attachment, solvedForm } from '../dog-form.ts'
import { ProblemError } from '../problems.ts'
import { once, typed, type Routes } from './typed-routes.ts'

const params = z.object({ id: Id })
const page = z.object({
  search: line(200).default(''),
  owner: Id.optional(),
  offset: z.coerce.number().int().min(0).default(0),
  limit: z.coerce.number().int().min(1).max(1000).default(60),
})
const part = z.object({ id: Id, partId: Id })

/** One dog's sheet with years of readings stays far below this. */
const SHEET_LIMIT = 16 * 1024 * 1024

/** So many of its newest readings, with their tickets, come first of a dog of years. */
const first = z.object({ newest: z.coerce.number().int().min(1).max(10_000).optional() })

export const dogRoutes: Routes = (app, desk) => {
  const { db } = desk
  const api = typed(app)
  api.get('/api/dogs', () => listDogs(db))
  api.get('/api/dogs/page', { schema: { querystring: page } }, ({ query }) => dogsPage(db, { ...query, owner: query.owner ?? null }))
  api.get('/api/dogs/:id', { schema: { params, querystring: first } }, ({ params: { id }, query }) => dogSheet(db, id, query.newest))
  api.put('/api/dogs/:id', { schema: { params, body: NewDog } }, (request) => once(desk, request, () => addDog(db, request.params.id, request.body)))
  api.patch('/api/dogs/:id', { schema: { params, body: Changes } }, (request) =>
    once(desk, request, () => changeDog(db, request.params.id, request.body.changes)),
  )

  api.put('/api/dogs/:id/notes/:partId', { schema: { params: part, body: NewDogNote } }, (request) =>
    once(desk, request, () => addDogNote(db, request.params.id, request.params.partId, request.body)),
  )
  api.patch('/api/dogs/:id/notes/:partId', { schema: { params: part, body: Changes } }, (request) =>
    once(desk, request, () => changeDogNote(db, request.params.id, request.params.partId, request.body.changes)),
  )

  api.put('/api/dogs/:id/weighings/:partId', { schema: { params: part, body: NewWeighing } }, (request) =>
    once(desk, request, () => addWeighing(db, request.params.id, request.params.partId, request.body)),
  )

  api.put('/api/dogs/:id/outings/:partId', { schema: { params: part, body: NewOuting } }, (request) =>
    once(desk, request, () => outings.add(db, request.params.id, request.params.partId, request.body)),
  )
  api.patch('/api/dogs/:id/outings/:partId', { schema: { params: part, body: Changes } }, (request) =>
    once(desk, request, () => outings.change(db, request.params.id, request.params.partId, request.body.changes)),
  )
  api.put('/api/dogs/:id/tracings/:partId', { schema: { params: part, body: NewTracing } }, (request) =>
    once(desk, request, () => tracings.add(db, request.params.id, request.params.partId, request.body)),
  )
  api.patch('/api/dogs/:id/tracings/:partId', { schema: { params: part, body: Changes } }, (request) =>
    once(desk, request, () => tracings.change(db, request.params.id, request.params.partId, request.body.changes)),
  )
  api.put('/api/dogs/:id/boot-outings/:partId', { schema: { params: part, body: NewBootOuting } }, (request) =>
    once(desk, request, () => bootOutings.add(db, request.params.id, request.params.partId, request.body)),
  )
  api.patch('/api/dogs/:id/boot-outings/:partId', { schema: { params: part, body: Changes } }, (request) =>
    once(desk, request, () => bootOutings.change(db, request.params.id, request.params.partId, request.body.changes)),
  )

  api.put('/api/dogs/:id/joins/:partId', { schema: { params: part, body: NewDogJoin } }, (request) =>
    once(desk, request, () => joinDogs(db, request.params.id, request.params.partId, request.body)),
  )
  api.patch('/api/dogs/:id/joins/:partId', { schema: { params: part, body: Changes } }, (request) =>
    once(desk, request, () => changeDogJoin(db, request.params.id, request.params.partId, request.body.changes)),
  )

  api.get('/api/dogs/:id/body-sheet.json', { schema: { params } }, (request, reply) => {
    const sheet = bodySheetOf(db, request.params.id)
    reply
      .header('content-disposition', attachment(sheet.dog.name, 'body-sheet.json', dayIn(readShop(db).timeZone, desk.now())))
      .type('application/json; charset=utf-8')
    return reply.send(bodySheetToJson(sheet))
  })
  api.get('/api/dogs/:id/body-sheet.csv', { schema: { params } }, (request, reply) => {
    const sheet = bodySheetOf(db, request.params.id)
    reply.header('content-disposition', attachment(sheet.dog.name, 'body-sheet.csv', dayIn(readShop(db).timeZone, desk.now()))).type('text/csv; charset=utf-8')
    return reply.send(bodySheetToCsv(sheet))
  })
  api.get('/api/dogs/:id/form.json', { schema: { params } }, (request, reply) => {
    const { form, head, name } = solvedForm(db, request.params.id)
    reply.header('content-disposition', attachment(name, 'form.json', head.on)).type('application/json; charset=utf-8')
    return reply.send(formSheetToJson(form, head))
  })
  api.get('/api/dogs/:id/form.csv', { schema: { params } }, (request, reply) => {
    const { form, head, name } = solvedForm(db, request.params.id)
    reply.header('content-disposition', attachment(name, 'form.csv', head.on)).type('text/csv; charset=utf-8')
    return reply.send(formSheetToCsv(form, head))
  })
  api.get('/api/dogs/:id/side-plate.svg', { schema: { params } }, (request, reply) => {
    const { form, head, name } = solvedForm(db, request.params.id)
    reply.header('content-disposition', attachment(name, 'form.svg', head.on)).type('image/svg+xml; charset=utf-8')
    return reply.send(sidePlateSvg(form, head))
  })

  api.put('/api/body-sheets/:id', { bodyLimit: SHEET_LIMIT, schema: { params, body: BodySheet, querystring: z.object({ ownerId: Id }) } }, (request) => {
    if (request.body.dog.id !== request.params.id) throw new ProblemError('bad-request', 'The sheet names another dog than its address.')
    return once(desk, request, () => takeBodySheet(db, request.body, request.query.ownerId))
  })
  api.get('/api/schemas/body-sheet-1.json', (_, reply) => reply.type('application/schema+json').send(JSON.stringify(bodySheetSchema())))

  app.addContentTypeParser(['image/jpeg', 'image/png', 'image/webp'], { parseAs: 'buffer', bodyLimit: PHOTO_BYTES + 1024 }, (_request, body, done) => {
    done(null, body)
  })
  api.put(
    '/api/dogs/:id/photos/:partId',
    { bodyLimit: PHOTO_BYTES + 1024, schema: { params: part, querystring: z.object({ view: PhotoView, at: Moment, by: line(60) }) } },
    (request) => {
      const { body } = request as { body: unknown }
      if (!Buffer.isBuffer(body)) throw new ProblemError('unsupported-type', 'Send a JPEG, PNG or WebP picture.')
      return once(desk, request, () => addPhoto(db, request.params.id, request.params.partId, request.query, body))
    },
  )
  api.delete('/api/dogs/:id/photos/:partId', { schema: { params: part } }, async (request, reply) => {
    const answer = await once(desk, request, () => {
      removePhoto(db, request.params.id, request.params.partId)
      return { ok: true }
    })
    // Out of the file as well: its bytes are overwritten, and what waited beside the file with them.
    db.pragma('wal_checkpoint(TRUNCATE)')
    reply.header('clear-site-data', '"cache"')
    return answer
  })
  api.get('/api/photos/:id', { schema: { params } }, (request, reply) => {
    const { type, picture } = pictureOf(db, request.params.id)
    const tag = `"${request.params.id}"`
    // Asked for each time: a picture taken out is gone from every browser that saw it.
    reply.header('cache-control', 'private, no-cache').header('etag', tag)
    if (request.headers['if-none-match'] === tag) return reply.code(304).send()
    // No script in a picture can run, whatever its bytes are.
    return reply.header('content-security-policy', "sandbox; default-src 'none'").type(type).send(picture)
  })
}
