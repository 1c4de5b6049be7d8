/** Schemas have an entry of their own: whoever only shows things does not load them. */
export * from './model/schemas.ts'
