import type { Reading } from '../model/index.ts'
import { agree, USUAL_RULES, type Agreed, type AgreeRules, type AgreeState } from './agree.ts'
import { measures, tapeKey } from './catalogue.ts'

/** Agreed values by measure, and by measure and place where a measure exists more than once: `M32/front-left`. */
export type AgreedBody = Readonly<Record<string, Agreed | undefined>>

/** Readings by measure, each list in the order they were taken. */
export function readingsOf(readings: readonly Reading[]): Record<string, Reading[]> {
  const byMeasure: Record<string, Reading[]> = {}
  for (const reading of [...readings].sort((a, b) => (a.takenAt < b.takenAt ? -1 : a.takenAt > b.takenAt ? 1 : a.id < b.id ? -1 : 1))) {
    ;(byMeasure[reading.measure] ??= []).push(reading)
  }
  return byMeasure
}

/** Readings by tape: a paw's own readings under measure and place. */
export function readingsByTape(readings: readonly Reading[]): Record<string, Reading[]> {
  const byTape: Record<string, Reading[]> = {}
  for (const list of Object.values(readingsOf(readings))) {
    for (const reading of list) {
      const many = (measures[reading.measure]?.places.length ?? 0) > 0
      ;(byTape[tapeKey(reading.measure, many ? reading.place : null)] ??= []).push(reading)
    }
  }
  return byTape
}

const WORST: readonly AgreeState[] = ['disagrees', 'third-wanted', 'once', 'agrees', 'none']
const worst = (states: readonly AgreeState[]): AgreeState => WORST.find((state) => states.includes(state)) ?? 'none'

/** Hitch and finger values are different things under one ID: they are never brought to one number. */
const NEVER_JOINED = new Set(['M48', 'M49'])

/** Several places to the measure's one value: the largest of a pair of paws counts (handbook 3.1), for boots and cuffs. */
function joined(parts: readonly Agreed[]): Agreed {
  const known = parts.filter((part) => part.mm !== null)
  const largest = [...known].sort((a, b) => (b.mm ?? 0) - (a.mm ?? 0))[0]
  const values = known.map((part) => part.mm ?? 0)
  return {
    mm: largest?.mm ?? null,
    n: known.reduce((sum, part) => sum + part.n, 0),
    spreadMm: Math.max(0, ...known.map((part) => part.spreadMm)),
    aside: known.flatMap((part) => part.aside),
    sigmaMm: largest?.sigmaMm ?? null,
    state: values.length === 0 ? 'none' : worst(known.map((part) => part.state)),
  }
}

/**
 * Sides of a dog read left and right: each side is agreed on its own, the value is their mean (the
 * shorter where on doubt the shorter counts, M12 and M13), and the difference is
 * left to the cross-check. Readings without a side go with both.
 */
function ofSides(measure: string, list: readonly Reading[], rules: AgreeRules): Agreed {
  const left = list.filter((reading) => reading.place === 'left')
  const right = list.filter((reading) => reading.place === 'right')
  const [a, b] = [agree(measure, left, rules), agree(measure, right, rules)]
  const unnamed = list.some((reading) => reading.place === null && !reading.struck)
  if (a.mm === null || b.mm === null || unnamed) return agree(measure, list, rules)
  return {
    mm: measures[measure]?.rule === 'shortest' ? Math.min(a.mm, b.mm) : (a.mm + b.mm) / 2,
    n: a.n + b.n,
    spreadMm: Math.max(a.spreadMm, b.spreadMm),
    aside: [...a.aside, ...b.aside],
    sigmaMm: Math.hypot(a.sigmaMm ?? 0, b.sigmaMm ?? 0) / 2,
    // Two sides read once each are two readings of the measure.
    state: worst([a.state, b.state]) === 'once' && a.n === 1 && b.n === 1 ? agree(measure, list, rules).state : worst([a.state, b.state]),
  }
}

/**
 * The agreed value of everything that has a reading.
 *
 * @returns by measure ID; paws and gauges also by measure and place; left and right of a sided measure also as
 *   `M11/left`, `M11/right` where both were named
 */
export function bodyOf(readings: readonly Reading[], rules: AgreeRules = USUAL_RULES): Record<string, Agreed> {
  const body: Record<string, Agreed> = {}
  const keep = (key: string, agreed: Agreed): void => {
    if (agreed.n > 0) body[key] = agreed
  }
  for (const [id, list] of Object.entries(readingsOf(readings))) {
    // The hitch is a record of the ticket; readings of it, as before, are no body.
    if (id === 'M48') continue
    const measure = measures[id]
    if (measure && measure.places.length > 0) {
      const parts = measure.places.map((place) => {
        const agreed = agree(
          id,
          list.filter((reading) => reading.place === place),
          rules,
        )
        keep(tapeKey(id, place), agreed)
        return agreed
      })
      if (!NEVER_JOINED.has(id)) keep(id, joined(parts))
    } else if (measure?.sided) {
      for (const side of ['left', 'right'] as const) {
        keep(
          tapeKey(id, side),
          agree(
            id,
            list.filter((reading) => reading.place === side),
            rules,
          ),
        )
      }
      keep(id, ofSides(id, list, rules))
    } else keep(id, agree(id, list, rules))
  }
  return body
}
