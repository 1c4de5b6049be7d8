import type { FastifyInstance } from 'fastify'
import type { ZodTypeProvider } from 'fastify-type-provider-zod'
import type { Db } from '../db/open.ts'

/** A file of routes: one resource, on the app and its database. */
export type Routes = (app: FastifyInstance, db: Db) => void

export const typed = (app: FastifyInstance) => app.withTypeProvider<ZodTypeProvider>()

/** Runs one writing request as one transaction that takes the write lock at once. */
export const inOneTransaction = <T>(db: Db, write: () => T): T => db.transaction(write).immediate()
