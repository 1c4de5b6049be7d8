// npm run copy: one checked copy of a book into its drawer, whether the server runs or not.
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { Copies } from './copies/copies.ts'
import { openDatabase } from './db/open.ts'

const file = process.argv[2] ?? process.env.MERRY_DATABASE ?? join(import.meta.dirname, '..', '..', 'data', 'shop.sqlite')
if (!existsSync(file)) {
  process.stderr.write(`There is no book at ${file}. Start the shop first, or name the file: npm run copy -- path/to/shop.sqlite\n`)
  process.exit(1)
}
const db = openDatabase(file)
try {
  const copies = new Copies(db, file, () => new Date().toISOString())
  const copy = copies.make('by-hand')
  process.stdout.write(`${join(copies.folder, copy.name)}: ${copy.records} records, checked.\n`)
} catch (error) {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`)
  process.exitCode = 1
} finally {
  db.close()
}
