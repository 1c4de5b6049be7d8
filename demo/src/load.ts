import {
  bodyOf,
  foretell,
  insideOf,
  measures,
  offerKey,
  parseLength,
  parseWeight,
  PLAIN_CIRCUMSTANCES,
  predictedOf,
  predictionOf,
  proposedChoice,
  rankAll,
  RULES_VERSION,
  sliderMoves,
  solveForm,
  type NewObservation,
  type Prediction,
  type SizeTable,
  type StrapSides,
} from '@merry-tailor/core'
import { pathToFileURL } from 'node:url'
import { v7 as uuid } from 'uuid'
import { dogs, fitters, gauges, notes, owners, tickets } from './scenario.ts'
import type { ItemStory, ReadingStory, SetUpStory, TicketStory } from './stories.ts'
import { pieces } from './pieces.ts'
import { bootOutings, carriers, crates, sheets, shelf, spaces } from './paws.ts'
import { cars, outings, rigs } from './rigs.ts'
import { season } from './season.ts'
import { tracedStory } from './sheets.ts'
import { sizeTables } from './size-tables.ts'

const DAY_MS = 86_400_000

/** Puts the whole scenario through the real API of the server at `address`. Dates are set about `now`. */
export async function loadScenario(address: string, now: Date): Promise<{ dogs: number; owners: number; tickets: number }> {
  const put = async (path: string, body: unknown, method = 'PUT'): Promise<void> => {
    const picture = body instanceof Uint8Array
    const answer = await fetch(`${address}${path}`, {
      method,
      headers: { 'content-type': picture ? 'image/png' : 'application/json' },
      body: picture ? Buffer.from(body) : JSON.stringify(body),
    })
    if (!answer.ok) throw new Error(`${method} ${path} answered ${answer.status}: ${await answer.text()}`)
  }
  const dayFromNow = (days: number): string => localDay(new Date(now.getTime() + days * DAY_MS))
  const ids = new Map<string, string>()
  const idOf = (key: string): string => {
    const known = ids.get(key)
    if (known) return known
    const made = uuid()
    ids.set(key, made)
    return made
  }

  for (const table of sizeTables) await put(`/api/size-tables/${table.id}/${table.version}`, table)
  const at = new Date(now.getTime() - 200 * DAY_MS).toISOString()
  // What a growing dog weighs was weighed lately.
  const lately = new Date(now.getTime() - 7 * DAY_MS).toISOString()
  for (const { key, ...owner } of owners) await put(`/api/owners/${idOf(key)}`, { ...owner, at })
  for (const { key, owner, ageDays, ...dog } of dogs) {
    await put(`/api/dogs/${idOf(key)}`, { ...dog, ownerId: idOf(owner), born: dayFromNow(-ageDays), at: ageDays < 400 ? lately : at })
  }
  for (const name of fitters) {
    const id = uuid()
    await put(`/api/fitters/${id}`, { name, at })
    await put(`/api/fitters/${id}`, { changes: [{ field: 'gauge', from: null, to: { ...gauges[name], at } }] }, 'PATCH')
  }
  for (const note of notes) {
    const path = `/api/dogs/${idOf(note.dog)}/notes/${uuid()}`
    await put(path, {
      kind: note.kind,
      text: note.text,
      on: dayFromNow(-note.daysAgo),
      at: new Date(now.getTime() - note.daysAgo * DAY_MS).toISOString(),
      by: fitters[0],
    })
    if (note.overDaysAgo !== undefined) await put(path, { changes: [{ field: 'over', from: null, to: dayFromNow(-note.overDaysAgo) }] }, 'PATCH')
  }
  for (const { wearer, crashed, flat = {}, ...piece } of pieces) {
    const path = `/api/pieces/${idOf(`piece ${piece.tag}`)}`
    await put(path, { ...piece, flat, wearerId: wearer ? idOf(wearer) : null, at })
    if (crashed) await put(path, { changes: [{ field: 'retired', from: null, to: { on: dayFromNow(-9), why: 'crash' } }] }, 'PATCH')
  }
  for (const rig of rigs) await put(`/api/rigs/${idOf(`rig ${rig.name}`)}`, { ...rig, at })
  for (const { owner, ...car } of cars) await put(`/api/cars/${idOf(`car ${car.name}`)}`, { ...car, space: spaces[car.name] ?? null, ownerId: idOf(owner), at })
  await put(
    '/api/shop',
    {
      changes: [
        { field: 'crates', from: [], to: crates },
        { field: 'carriers', from: [], to: carriers },
        { field: 'boots', from: [], to: shelf },
      ],
    },
    'PATCH',
  )
  for (const { dog, daysAgo, ...outing } of bootOutings)
    await put(`/api/dogs/${idOf(dog)}/boot-outings/${uuid()}`, {
      ...outing,
      on: dayFromNow(-daysAgo),
      footing: 'snow',
      note: '',
      at: new Date(now.getTime() - daysAgo * DAY_MS).toISOString(),
      by: fitters[1],
    })
  for (const [i, story] of sheets.entries()) {
    const { png, tracings } = tracedStory(story, 40 + i)
    const [photoId, by] = [png && uuid(), fitters[0]]
    const drawnAt = new Date(now.getTime() - story.daysAgo * DAY_MS + i * 240_000).toISOString()
    const about = new URLSearchParams({ view: 'paw', at: drawnAt, by }).toString()
    if (png) await put(`/api/dogs/${idOf(story.dog)}/photos/${photoId}?${about}`, png)
    for (const tracing of tracings) await put(`/api/dogs/${idOf(story.dog)}/tracings/${uuid()}`, { ...tracing, photoId, at: drawnAt, by })
  }
  for (const { dog, daysAgo, rig, loadKg, note, ...outing } of outings)
    await put(`/api/dogs/${idOf(dog)}/outings/${uuid()}`, {
      ...outing,
      on: dayFromNow(-daysAgo),
      loadKg: loadKg ?? null,
      rigId: rig ? idOf(`rig ${rig}`) : null,
      note: note ?? '',
      at: new Date(now.getTime() - daysAgo * DAY_MS).toISOString(),
      by: fitters[1],
    })
  const told = [...tickets, ...season]
  const inOrder = told.sort((a, b) => b.daysAgo - a.daysAgo || a.clock.localeCompare(b.clock))
  for (const ticket of inOrder) await loadTicket(ticket, now, put, idOf, dayFromNow)
  return { dogs: dogs.length, owners: owners.length, tickets: told.length }
}

type Put = (path: string, body: unknown, method?: string) => Promise<void>

const localDay = (date: Date): string => `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`

async function loadTicket(story: TicketStory, now: Date, put: Put, idOf: (key: string) => string, dayFromNow: (days: number) => string): Promise<void> {
  const id = uuid()
  const base = `/api/tickets/${id}`
  const opened = new Date(`${dayFromNow(-story.daysAgo)}T${story.clock}:00`)
  // Nothing in the shop's book lies ahead of its clock.
  const start = Math.min(opened.getTime(), now.getTime() - 60 * 60_000)
  let minutes = 0
  const next = (): string => new Date(start + ++minutes * 45_000).toISOString()
  const after = (min: number): string => new Date(start + min * 60_000).toISOString()
  const by = fitters[0]
  const change = (changes: Record<string, [unknown, unknown]>): Promise<void> =>
    put(base, { changes: Object.entries(changes).map(([field, [from, to]]) => ({ field, from, to })) }, 'PATCH')

  await put(base, {
    dogId: story.dog ? idOf(story.dog) : null,
    ownerId: null,
    kind: story.dog === null ? 'counter' : 'real',
    at: new Date(start).toISOString(),
    by,
  })
  await change({
    ...(story.activities.length > 0 ? { activities: [[], story.activities] as [unknown, unknown] } : {}),
    ...(story.traits ? { traits: [[], story.traits] as [unknown, unknown] } : {}),
    ...(story.teamPlace ? { teamPlace: [null, story.teamPlace] as [unknown, unknown] } : {}),
    ...(story.budget === undefined ? {} : { budget: [null, story.budget] as [unknown, unknown] }),
    ...(story.airC === undefined ? {} : { airC: [null, story.airC] as [unknown, unknown] }),
    neededOn: [null, story.needed === undefined ? null : dayFromNow(story.needed)],
    promisedOn: [null, story.promised === undefined ? null : dayFromNow(story.promised)],
    notes: ['', story.notes ?? ''],
  })
  for (const ack of story.acknowledged ?? []) await put(`${base}/acknowledgements/${uuid()}`, { ...ack, at: next(), by })
  const items = story.items.map((item) => ({ item, id: uuid() }))
  for (const { item, id: itemId } of items)
    await put(`${base}/items/${itemId}`, { family: item.family, way: item.way, school: item.school ?? null, at: next() })
  for (const reading of story.readings) {
    const read = readingOf(reading, story.unit)
    const readingId = uuid()
    const who = reading.by ?? by
    await put(`${base}/readings/${readingId}`, {
      measure: reading.measure,
      ...read,
      side: reading.one ? 'one' : 'both',
      asTyped: reading.typed,
      method: 'tape',
      takenAt: next(),
      by: who,
      school: measures[reading.measure]?.school ?? null,
      ...reading.with,
    })
    if (reading.struck) await put(`${base}/marks/${uuid()}`, { what: 'reading', about: readingId, kind: 'struck', why: reading.struck, at: next(), by: who })
  }
  for (const written of story.asWritten ?? []) await put(`${base}/as-written/${uuid()}`, { ...written, at: next(), by })
  if (story.wholeBody) await change({ wholeBody: [false, true] })
  for (const { item, id: itemId } of items) {
    const table = sizeTables.find((each) => each.id === item.choice?.table)
    const choiceId = uuid()
    if (item.choice && table) {
      const chosen = chosenFrom(table, item.choice.labels, story)
      await put(`${base}/choices/${choiceId}`, { ...chosen, itemId, overruled: item.choice.overruled ?? null, at: next(), by })
    }
    if (item.crate) {
      const { lengthMm, widthMm, heightMm } = insideOf(item.crate)
      const insideMm = [lengthMm, widthMm, heightMm]
      await put(`${base}/choices/${choiceId}`, {
        kind: 'series', family: item.family, label: item.crate, insideMm, itemId, predicted: [], rulesVersion: RULES_VERSION, overruled: null, at: next(), by,
      }) // prettier-ignore
    }
    if (item.piece)
      await put(`${base}/choices/${choiceId}`, {
        kind: 'gear', pieceId: idOf(`piece ${item.piece}`), itemId, predicted: [], rulesVersion: RULES_VERSION, overruled: null, at: next(), by,
      }) // prettier-ignore
    const settings: string[] = []
    const straps: Record<string, StrapSides> = {}
    let before: Record<string, StrapSides> = {}
    let last = ''
    for (const round of item.rounds ?? []) {
      const roundId = uuid()
      const roundAt = after(round.after)
      for (const [strap, side, typed] of round.set ?? []) {
        const read = parseLength(typed, story.unit)
        if (!read.ok) throw new Error(`the scenario's "${typed}" for ${strap} is ${read.problem}`)
        const settingId = uuid()
        await put(`${base}/settings/${settingId}`, {
          of: { itemId },
          dogId: story.dog ? idOf(story.dog) : null,
          part: strap,
          side,
          mm: read.mm,
          mark: '',
          at: roundAt,
          by,
        })
        settings.push(settingId)
        const now = straps[strap] ?? { leftMm: read.mm, rightMm: read.mm }
        straps[strap] = { leftMm: side === 'right' ? now.leftMm : read.mm, rightMm: side === 'left' ? now.rightMm : read.mm }
      }
      const foretold = foretoldFor(story, item, table, round.label, straps)
      await put(`${base}/try-ons/${roundId}`, {
        itemId,
        of: (item.choice && table) || item.piece ? { choiceId } : { named: true },
        settings,
        label: round.label,
        changed: round.changed ?? '',
        foretold,
        moves: last === '' ? [] : sliderMoves(item.family, before, straps).map(({ strap, side, byMm }) => ({ strap, side, byMm })),
        seconds: last === '' ? null : Math.round((Date.parse(roundAt) - Date.parse(last)) / 1000),
        at: roundAt,
        by,
      })
      before = structuredClone(straps)
      last = roundAt
      const seen = round.seen === 'as-foretold' ? aboutForetold(foretold, `${story.dog ?? ''} ${story.daysAgo} ${round.after}`) : round.seen
      for (const [check, state, grade, typed = ''] of seen) {
        await put(`${base}/try-ons/${roundId}/observations/${uuid()}`, { check, state, grade, ...answered(typed, story.unit), at: roundAt, by })
      }
      for (const [symptom, remedy] of round.symptoms ?? []) {
        await put(`${base}/try-ons/${roundId}/symptoms/${uuid()}`, { symptom, remedy: remedy ?? null, present: true, at: roundAt, by })
      }
    }
  }
  for (const { item, id: itemId } of items) {
    if (!item.pattern) continue
    await put(`${base}/choices/${uuid()}`, {
      kind: 'pattern', family: item.family, plan: item.pattern, was: null, itemId, predicted: [], rulesVersion: RULES_VERSION, overruled: null, at: after(40), by,
    }) // prettier-ignore
  }
  for (const { family, rig, pair, route = [], after: min, ...setUp } of story.setUps ?? []) {
    const itemId = items.find(({ item }) => item.family === family)?.id
    const setUpId = uuid()
    const when = { at: after(min), by }
    await put(`${base}/set-ups/${setUpId}`, {
      ...setUp,
      itemId,
      pieceId: null,
      rigId: idOf(`rig ${rig}`),
      loopMm: null,
      hitchMm: null,
      route,
      pair: pair ? besideOf(pair, idOf) : null,
      ...when,
    })
    await put(`${base}/choices/${uuid()}`, { kind: 'set-up', setUpId, itemId, predicted: [], rulesVersion: RULES_VERSION, overruled: null, ...when })
  }
  if (story.closed) {
    await change({ nextLookOn: [null, story.nextLook === undefined ? null : dayFromNow(story.nextLook)] })
    await change({ state: ['open', 'closed'], closedAt: [null, after(120)] })
  }
}

/** The dog beside by its id. */
const besideOf = ({ dog, ...pair }: NonNullable<SetUpStory['pair']>, idOf: (key: string) => string): object => ({ ...pair, dogId: idOf(dog) })

/** What a round of the story was begun with: what the bench would have foretold of it that day. */
function foretoldFor(
  story: TicketStory,
  item: ItemStory,
  table: SizeTable | undefined,
  label: string,
  set: Readonly<Record<string, StrapSides>>,
): Prediction | null {
  const size = table?.sizes.find((each) => each.label === label)
  const piece = pieces.find((each) => each.tag === item.piece)
  if (!size && !piece) return null
  const readings = story.readings.filter((reading) => !reading.struck)
  const dog = dogs.find((each) => each.key === story.dog)
  // Fittings of other seasons go by the tapes of this one.
  const tapes = readings.length > 0 ? { readings, unit: story.unit } : tickets.find((each) => each.dog === story.dog && each.readings.length > 0)
  const body = Object.fromEntries(
    (tapes?.readings ?? []).map((reading) => {
      const { mm } = readingOf(reading, tapes?.unit ?? 'cm')
      const whole = reading.one ? 2 * mm : mm
      return [reading.measure, { mm: whole, sigmaMm: Math.max(0.3, 0.012 * whole) }]
    }),
  )
  const form = solveForm(body, { breed: dog?.breed ?? null, crossWith: dog?.crossWith ?? null, sex: dog?.sex ?? null, weightKg: dog?.weightKg ?? null })
  const asked = {
    form,
    family: item.family,
    pull: { riseRad: 0 },
    gauge: null,
    build: table?.build ?? null,
    ...(table?.strapWords ? { strapWords: table.strapWords } : {}),
  }
  return predictionOf(foretell({ ...asked, ...(size ? { size } : {}), ...(piece ? { piece: { flat: piece.flat ?? {} } } : {}), set }))
}

/** Of a hundred checks foretold to hold, to go either way or to miss, so many were seen to hold. Invented. */
const HELD = { holds: 91, doubt: 57, fails: 9 } as const

/** Answers made up about a prediction, the same at every loading. */
function aboutForetold(foretold: Prediction | null, seed: string): [string, NewObservation['state'], NewObservation['grade']][] {
  let turn = Array.from(seed, (letter) => letter.charCodeAt(0)).reduce((sum, code) => (sum * 31 + code) % 9973, 7)
  return (foretold?.checks ?? []).flatMap(({ check, state, strap, grade }) => {
    if (grade === 'none' || (strap !== undefined && strap !== 'neck')) return []
    turn = (turn * 75 + 74) % 65_537
    const held = turn % 100 < HELD[grade]
    return [[check, state, held ? 'holds' : turn % 3 === 0 ? 'doubt' : 'fails']]
  })
}

/** What the story settles on: made to measure by its readings, boots paw by paw, or a size; with what the rules predict. */
function chosenFrom(table: SizeTable, labels: string[], story: TicketStory): object {
  const taken = story.readings
    .filter((reading) => !reading.struck && measures[reading.measure]?.quantity !== 'mass')
    .map((reading, i) => ({
      ...PLAIN_CIRCUMSTANCES,
      id: String(i),
      measure: reading.measure,
      mm: readingOf(reading, story.unit).mm,
      side: reading.one ? ('one' as const) : ('both' as const),
      asTyped: reading.typed,
      unit: story.unit,
      takenAt: '',
      by: '',
      ...reading.with,
    }))
  const body = bodyOf(taken)
  const [offer] = rankAll([table], body, null)
  const proposed = offer && proposedChoice([offer], { offer: offerKey(offer), label: labels[0] ?? '' }, null, body)?.settlement
  const settlement = !proposed || proposed.kind === 'size' ? { kind: 'size' as const, tableId: table.id, tableVersion: table.version, labels } : proposed
  return { ...settlement, predicted: offer ? predictedOf(offer, settlement) : [], rulesVersion: RULES_VERSION }
}

/** A length or a weight of the story, as it was typed. */
function readingOf({ measure, typed }: ReadingStory, unit: TicketStory['unit']): { mm: number; unit: string } {
  if (measures[measure]?.quantity === 'mass') {
    const read = parseWeight(typed)
    if (read.ok) return { mm: read.kg, unit: 'kg' }
    throw new Error(`the scenario's "${typed}" is no weight`)
  }
  const read = parseLength(typed, unit)
  if (read.ok && measures[measure]) return { mm: read.mm, unit: read.unit }
  throw new Error(`the scenario's "${typed}" for ${measure} is ${read.ok ? 'unknown' : read.problem}`)
}

/** Splits an answer of the story into fingers or a signed length. */
function answered(typed: string, unit: TicketStory['unit']): Pick<NewObservation, 'asTyped' | 'mm' | 'fingers'> {
  const fingers = /^([\d.]+)(?: (1\/2))? fingers?$/.exec(typed)
  if (fingers) return { asTyped: typed, mm: null, fingers: Number(fingers[1]) + (fingers[2] ? 0.5 : 0) }
  const read = parseLength(typed.replace(/^-/, ''), unit)
  return { asTyped: typed, mm: read.ok ? read.mm * (typed.startsWith('-') ? -1 : 1) : null, fingers: null }
}

const [, script, address] = process.argv
if (script && import.meta.url === pathToFileURL(script).href && address) {
  const loaded = await loadScenario(address, new Date())
  process.stdout.write(`Demo loaded: ${loaded.dogs} dogs, ${loaded.owners} owners, ${loaded.tickets} tickets.\n`)
}
