import { aboutDog, solveForm, visitsOf, withOwnError, type Form } from '@merry-tailor/core'
import type { Db } from './db/open.ts'
import { dogSheet } from './db/sheets.ts'
import { readShop } from './db/shop.ts'

/** A file name that every system takes. */
const plainName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9-]+/g, '-')
    .replace(/^-+|-+$/g, '') || 'dog'

/** What a dog's document is called: plainly for old programs, and with the name as it is written (RFC 6266, RFC 8187). */
export function attachment(name: string, what: string, on: string): string {
  const kept = Array.from(name.normalize('NFC').replace(/[\p{C}\s/\\:*?"<>|]+/gu, ' ').trim()).slice(0, 60).join('') || 'dog' // prettier-ignore
  const full = encodeURIComponent(`${kept} ${on} ${what}`).replace(/['()*]/g, (sign) => `%${sign.charCodeAt(0).toString(16).toUpperCase()}`)
  return `attachment; filename="${plainName(name)}-${what}"; filename*=UTF-8''${full}`
}

/** A dog's form as it was at its last visit, with what a document of it says at its head and is called. */
export function solvedForm(db: Db, id: string): { form: Form; head: { dog: string; breed: string; on: string }; name: string } {
  const { dog, tickets } = dogSheet(db, id)
  const visit = visitsOf(tickets, readShop(db)).at(-1)
  const on = visit?.on ?? dog.createdAt.slice(0, 10)
  const readings = tickets.flatMap((sheet) => sheet.readings)
  const form = solveForm(withOwnError(visit?.known ?? {}, readings), aboutDog(dog, on))
  return { form, head: { dog: dog.name, breed: dog.breed, on }, name: dog.name }
}
