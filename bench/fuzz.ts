import { newReader, readFrames, writeFrame } from '../core/src/index.ts'
import {
  bodySheetFromCsv,
  bodySheetFromJson,
  bodySheetToCsv,
  bodySheetToJson,
  kennelTemplate,
  readKennelList,
  sizeTableFromCsv,
  stripPhoto,
} from '../core/src/formats/index.ts'
import { aSheet } from '../core/check/a-sheet.ts'
import { seeded } from '../core/src/index.ts'
import { buildApp } from '../server/src/app.ts'

/*
 * A million random bytes and mutated valid files against everything that reads from outside: nothing throws, nothing is
 * written in part. Seeded, so that a finding can be found again.
 */
const random = seeded(20_261_105)
const below = (n: number): number => Math.floor(random() * n)
const noise = (length: number): Uint8Array => Uint8Array.from({ length }, () => below(256))
const latin = (bytes: Uint8Array): string => Buffer.from(bytes).toString('latin1')

/** A valid text with a few bytes changed, cut, doubled or moved. */
function mutated(text: string): string {
  let out = text
  for (let i = 0; i <= below(4); i++) {
    const at = below(out.length + 1)
    const size = below(12)
    const kind = below(4)
    if (kind === 0) out = out.slice(0, at) + latin(noise(size)) + out.slice(at + size)
    else if (kind === 1) out = out.slice(0, at) + out.slice(at + size * 4)
    else if (kind === 2) out = out.slice(0, at) + out.slice(at, at + size * 3) + out.slice(at)
    else out = out.slice(0, at) + '","=\r\n{[-1e309'.charAt(below(14)) + out.slice(at)
  }
  return out
}

let reader = newReader()
let frames = 0
let bytes = 0
const good = writeFrame({ id: 'TAPE7', seq: 1, event: 'squeeze', value: 298.6, unit: 'mm', battery: 87 })
while (bytes < 1_000_000) {
  const piece = random() < 0.5 ? noise(1 + below(300)) : Buffer.from(mutated(good.replace('0001', String(below(10_000)).padStart(4, '0'))), 'latin1')
  const read = readFrames(reader, piece)
  reader = read.reader
  frames += read.frames.length
  bytes += piece.length
}
console.log(`Device parser: ${bytes} bytes of noise and hurt frames, ${frames} whole frames, no throw.`)

const sheet = bodySheetToJson(aSheet())
const flat = bodySheetToCsv(aSheet())
const list = kennelTemplate()
const table = 'id,x\r\nname,X\r\nmaker,Y\r\nfamily,H01\r\nway,stock\r\nunit,cm\r\nlead weeks,0\r\n\r\nsize,M07 from,M07 to\r\nS,50,60\r\n'
const counts = { sheets: 0, flat: 0, lists: 0, tables: 0, photos: 0 }
const RUNS = 6000
for (let i = 0; i < RUNS; i++) {
  const text = i % 3 === 0 ? latin(noise(200)) : ''
  if (bodySheetFromJson(text || mutated(sheet)).ok) counts.sheets += 1
  if (bodySheetFromCsv(text || mutated(flat)).ok) counts.flat += 1
  if (readKennelList(text || mutated(list), { unit: 'cm', at: '2026-01-01T00:00:00Z', by: '' }).problems.length === 0) counts.lists += 1
  if (sizeTableFromCsv(text || mutated(table)).ok) counts.tables += 1
  const photo = noise(120)
  if (i % 2) photo.set([0xff, 0xd8, 0xff, 0xe0 + below(16)])
  if (stripPhoto(photo).ok) counts.photos += 1
}
console.log(
  `Importers: ${RUNS} files each; still readable: ${counts.sheets} body sheets as JSON, ${counts.flat} as CSV, ${counts.lists} lists, ${counts.tables} size tables, ${counts.photos} pictures; no throw.`,
)

const app = await buildApp({ database: ':memory:' })
const json = { host: 'localhost', 'content-type': 'application/json' }
const lines = { host: 'localhost', 'content-type': 'application/x-ndjson' }
const copy = async (): Promise<string> => (await app.inject({ url: '/api/book', headers: json })).body
/** The records of a book: its first line tells when the copy was made. */
const records = (book: string): string => book.slice(book.indexOf('\n'), book.lastIndexOf('\n', book.length - 2))
const sheetUrl = `/api/body-sheets/${aSheet().dog.id}?ownerId=01900000-0000-7000-8000-0000000000aa`
await app.inject({ method: 'PUT', url: sheetUrl, payload: sheet, headers: json })
const whole = await copy()
let refused = 0
let taken = 0
for (let i = 0; i < 1500; i++) {
  const before = records(await copy())
  const [url, payload, headers] = i % 2 ? ([sheetUrl, mutated(sheet), json] as const) : (['/api/book?replace=yes', mutated(whole), lines] as const)
  const { statusCode } = await app.inject({ method: 'PUT', url, payload, headers })
  if (statusCode >= 500) throw new Error(`${url} answered ${statusCode} to a hurt file`)
  if (statusCode >= 400) {
    refused += 1
    if (records(await copy()) !== before) throw new Error(`${url} refused a file and kept a part of it`)
  } else {
    taken += 1
    await app.inject({ method: 'PUT', url: '/api/book?replace=yes', payload: whole, headers: lines })
  }
}
await app.close()
console.log(`Server: 1500 hurt body sheets and books, ${refused} refused whole, ${taken} still whole and taken, none in part, no 5xx.`)
