export type { Change, Changes, FieldConflict, Problem } from './changes.schema.ts'
