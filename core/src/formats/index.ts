/** Reading and writing documents; no file access. Used by the outside only, by nobody in core. */
export { sizeTableToCsv, sizeTableFromCsv } from './size-table-csv.ts'
export { sizeTableToJson, sizeTableFromJson } from './size-table-json.ts'
export type { ReadDocument, DocumentProblem } from './read-document.ts'
