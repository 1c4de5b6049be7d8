import Papa from 'papaparse'

/** Where a spreadsheet would begin a formula: at a cell's start, or after what it may split cells at; full-width signs too. */
const SIGNS = '=+\\-@＝＋－＠\\t\\r'
const BEGINS = new RegExp(`(?<=^|[;\\t|])(?='*[${SIGNS}])`, 'g')
/** The apostrophe a guard put there. */
const GUARD = new RegExp(`(?<=^|[;\\t|])'(?='*[${SIGNS}])`, 'g')
/** Plain negative numbers are no formulas; they stay numbers. */
const NUMBER = /^-?\d+(?:[.,]\d+)?$/

/**
 * Keeps a spreadsheet from running a cell: one apostrophe before anything that begins like a formula, inside a cell as well.
 * Source: OWASP, CSV Injection (value from memory).
 */
export const guardCell = (cell: string): string => (NUMBER.test(cell) ? cell : cell.replaceAll(BEGINS, "'"))

/** Takes the guard off again, so that what goes out comes back. */
export const unguardCell = (cell: string): string => cell.replaceAll(GUARD, '')

/** Rows as CSV, RFC 4180: commas, CRLF, doubled quotes; formulas guarded. */
export const writeCsv = (rows: readonly (readonly string[])[]): string =>
  `${Papa.unparse(
    rows.map((row) => row.map(guardCell)),
    { newline: '\r\n' },
  )}\r\n`

export interface ReadCsv {
  rows: string[][]
  /** Line numbers of rows, 1 the first. A quoted cell may run over several lines. */
  problems: { line: number; message: string }[]
}

/** What stands between the columns' names: a decimal comma further down says nothing. */
function delimiterOf(text: string): string {
  const head = (/^[^\r\n]*/.exec(text)?.[0] ?? '').replace(/"[^"]*"/g, '')
  const count = (sign: string): number => head.split(sign).length
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best))
}

/** CSV as rows of cells: RFC 4180, with a byte order mark, LF or CR alone, semicolons or tabs taken as well. Never throws. */
export function readCsv(text: string): ReadCsv {
  const plain = text.replace(/^\uFEFF/, '')
  const parsed = Papa.parse<string[]>(plain, { skipEmptyLines: false, delimiter: delimiterOf(plain) })
  const rows = parsed.data.map((row) => row.map(unguardCell))
  // The file's last line end makes no row.
  if (rows.at(-1)?.length === 1 && rows.at(-1)?.[0] === '') rows.pop()
  const problems = parsed.errors
    .filter((error) => error.type === 'Quotes')
    .map((error) => ({ line: (error.row ?? 0) + 1, message: 'a quotation mark is not closed' }))
  return { rows, problems }
}
