import { FORM_VERSION, plates, type About, type Body, type Form } from '@merry-tailor/core'
import { deviceStore } from '../api/device-store'
import { answerTo, ask, keyOf } from './form-desk'

/** A dog from the side as it stands in a list: few corners, whole millimetres. */
export interface Outline {
  plates: { far: boolean; points: (readonly [x: number, z: number])[] }[]
  left: number
  right: number
  top: number
}

/** A form never changes, nor what was cut from it. */
const cut = new WeakMap<Form, Outline>()

/** Cuts an outline from a form. Every second corner is enough at the size of a row. */
export function outlineOf(form: Form): Outline {
  const before = cut.get(form)
  if (before) return before
  const { plates: pieces, box } = plates(form, 'side')
  const outline: Outline = {
    plates: pieces.map(({ far, points }) => ({
      far: far === true,
      points: points.filter((_, i) => i % 2 === 0).map(([x, z]) => [Math.round(x), Math.round(z)] as const),
    })),
    left: Math.round(box.left),
    right: Math.round(box.right),
    top: Math.round(box.top),
  }
  cut.set(form, outline)
  return outline
}

/** Outlines by what they were cut from, this page's and the device's; the oldest go first. */
const known = new Map<string, Outline>()
const MOST_HERE = 600
const MOST_KEPT = 2000
const PRUNED_BY = 200
const asked = new Set<string>()
const listeners = new Set<() => void>()

export const outlineKey = (body: Body, about: About | null): string => `${FORM_VERSION} ${keyOf({ body, about, question: {} })}`
export const knownOutline = (key: string): Outline | undefined => known.get(key)
export function onOutline(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

function show(key: string, outline: Outline): void {
  known.set(key, outline)
  if (known.size > MOST_HERE) known.delete(known.keys().next().value ?? '')
  for (const listener of listeners) listener()
}

async function keptOutline(key: string): Promise<Outline | undefined> {
  try {
    return (await (await deviceStore()).get('outlines', key))?.drawing as Outline | undefined
  } catch {
    return undefined
  }
}

async function keepOutline(key: string, drawing: Outline): Promise<void> {
  try {
    const db = await deviceStore()
    await db.put('outlines', { at: new Date().toISOString(), drawing }, key)
    if ((await db.count('outlines')) > MOST_KEPT) await pruneOutlines(MOST_KEPT - PRUNED_BY)
  } catch {
    // A device that keeps nothing draws them anew each time.
  }
}

/** Lets the oldest outlines go, so many stay. */
export async function pruneOutlines(stay: number): Promise<void> {
  const shelf = (await deviceStore()).transaction('outlines', 'readwrite')
  const all: { key: string; at: string }[] = []
  for (let cursor = await shelf.store.openCursor(); cursor; cursor = await cursor.continue()) all.push({ key: cursor.key, at: cursor.value.at })
  all.sort((a, b) => a.at.localeCompare(b.at))
  for (const { key } of all.slice(0, Math.max(0, all.length - stay))) await shelf.store.delete(key)
  await shelf.done
}

/** Brings an outline in: from the device's shelf, else from a form solved beside the page, which is kept for the next time. */
export async function wantOutline(key: string, body: Body, about: About | null): Promise<void> {
  if (known.has(key) || asked.has(key)) return
  asked.add(key)
  try {
    const kept = await keptOutline(key)
    if (kept) {
      show(key, kept)
      return
    }
    const question = { body, about, question: {} }
    const formKey = keyOf(question)
    await ask(formKey, question, null)
    const answer = answerTo(formKey)
    if (!answer) return
    const outline = outlineOf(answer.form)
    show(key, outline)
    await keepOutline(key, outline)
  } finally {
    asked.delete(key)
  }
}
