import { measures, solveForm, tapesFor, type FamilyId, type ItemWay } from '@merry-tailor/core'
import { v7 as uuid } from 'uuid'
import { address } from './bench-of-one.ts'

/** What one dog may want at once: a cross-back, a car harness, a rug cut here, four boots, a crate. */
export const WANTED: readonly { family: FamilyId; way: 'stock' | 'made'; name: string }[] = [
  { family: 'H11', way: 'stock', name: 'Full cross-back' },
  { family: 'H24', way: 'stock', name: 'Car harness' },
  { family: 'C1', way: 'made', name: 'Rug' },
  { family: 'B1', way: 'stock', name: 'Sled booties' },
  { family: 'K1', way: 'stock', name: 'Wire crate' },
]
const KG = 23
const BUILD = { breed: 'Siberian Husky', coat: 'thick-double', sex: 'female' } as const

/** Writes through the API; what is refused is a mistake of the journey. */
export const send = async (method: string, path: string, body: unknown): Promise<void> => {
  const answer = await fetch(`${address()}/api${path}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
  if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`)
}

/** Kittiwake, a dog of our own, taken in and set on a ticket. */
export async function kittiwakeOn(ticket: string): Promise<void> {
  const [dog, at] = [uuid(), new Date().toISOString()]
  await send('PUT', `/dogs/${dog}`, { name: 'Kittiwake', ...BUILD, weightKg: KG, born: '2023-03-01', ownerId: null, notes: '', at })
  await send('PATCH', `/tickets/${ticket}`, { changes: [{ field: 'dogId', from: null, to: dog }] })
}

/**
 * Every tape these items want, twice, as they would read on the middle dog of Kittiwake's kind.
 *
 * @returns how many readings
 */
export async function takeEveryTape(ticket: string, items: readonly { family: FamilyId; way: ItemWay }[]): Promise<number> {
  const form = solveForm({ M00: { mm: KG, sigmaMm: 0.1 } }, { ...BUILD, cross: '', ageMonths: 40, weightKg: KG } as never)
  let taken = 0
  for (const { measure, place } of tapesFor(items.map((item) => ({ ...item, school: null })))) {
    const mm = measure === 'M00' ? KG : form.measures[measure]?.mm
    if (mm === undefined) continue
    const weight = measures[measure]?.quantity === 'mass'
    for (const by of weight ? [1] : [0.997, 1.003])
      await send('PUT', `/tickets/${ticket}/readings/${uuid()}`, {
        measure, mm: weight ? mm : Math.round(mm * by), side: 'both', asTyped: String(Math.round(mm * by)), unit: weight ? 'kg' : 'mm', method: weight ? 'scale' : 'tape',
        takenAt: new Date(Date.now() - 600_000 + 1000 * taken++).toISOString(), by: 'Ylva', heldBy: '', place, school: measures[measure]?.school ?? null, remark: '',
        ...(measure === 'M37' ? { dewclaw: 'single' } : {}),
      }) // prettier-ignore
  }
  return taken
}
