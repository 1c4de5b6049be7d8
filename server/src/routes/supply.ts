import type { FastifyInstance } from 'fastify'
import type { Db } from '../db/open.ts'
import { supplyNow } from '../db/supply.ts'
import type { Supplier } from '../ports/supplier.ts'

export function supplyRoutes(app: FastifyInstance, db: Db, supplier: Supplier | null): void {
  app.get('/api/supply', () => supplyNow(db, supplier, () => new Date()))
}
