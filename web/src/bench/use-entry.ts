import { measures, type Dewclaw, type NewReading, type Reading } from '@merry-tailor/core'
import { useRef, useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAppSelector } from '../state/store'
import { parseEntry, written, type ParsedEntry } from '../length-entry'
import { problemWords } from '../words/problems'
import { useActs } from './use-acts'
import { useBench } from './use-bench'
import type { TapeRow } from './tapes-of'

export interface Entry {
  typed: string
  setTyped: (typed: string) => void
  /** Sets the field to a length picked on the Big Inch. */
  setMm: (mm: number) => void
  parsed: ParsedEntry
  /** Value as it would be pinned, as taken: mm, M00 kg. */
  mm: number | null
  problem: string | null
  oneSide: boolean
  setOneSide: (on: boolean) => void
  doubling: boolean
  /** Is this a weight, not a length? */
  weight: boolean
  pin: (over?: Partial<NewReading>) => boolean
  /** Notes that there is no dewclaw on this leg (M37). */
  pinDewclaw: (dewclaw: Dewclaw) => void
  strike: (reading: Reading, why: string) => void
  restore: (reading: Reading) => void
}

/** The tool a measure is usually taken with. */
function usualMethod(measure: string, alone: boolean): NewReading['method'] {
  if (alone && measure === 'M01') return 'loop'
  if (measure === 'M00') return 'scale'
  if (['M32', 'M33', 'M34', 'M35'].includes(measure)) return 'tracing'
  return ['M37', 'M38', 'M39', 'M40', 'M41', 'M43', 'M44', 'M45', 'M46', 'M48', 'M49'].includes(measure) ? 'square' : 'tape'
}

/**
 * The number being entered for one tape. What is typed is kept per tape while the ticket is open; a pin the server
 * refused comes back into the field, and pinning it again sends the same reading, not a second one.
 *
 * @param alone nobody holds the dog: the neck is read by a loop (handbook 4.5)
 */
export function useEntry(row: TapeRow | undefined, onFailed: (key: string) => void, alone = false): Entry {
  const { unit, fitter, helper } = useAppSelector((state) => state.settings)
  const acts = useActs()
  const [bench] = useBench()
  const [drafts, setDrafts] = useState<Readonly<Record<string, string>>>({})
  const [sides, setSides] = useState<Readonly<Record<string, boolean>>>({})
  const [problems, setProblems] = useState<Readonly<Record<string, string | null>>>({})
  const failed = useRef(new Map<string, { id: string; typed: string; oneSide: boolean }>())

  const key = row?.key ?? ''
  const tape = row?.tape.measure
  const measure = tape ?? ''
  const about = measures[measure]
  const doubling = about?.doubling ?? false
  const method = bench.method ?? usualMethod(measure, alone)
  // A loop read at its crossing is the whole ring (handbook 4.5).
  const oneSide = doubling && (sides[key] ?? method !== 'loop')
  const typed = drafts[key] ?? ''
  const parsed = parseEntry(measure, typed, unit)
  const problem = problems[key] ?? null
  const setTyped = (next: string): void => {
    setDrafts((all) => ({ ...all, [key]: next }))
    setProblems((all) => ({ ...all, [key]: null }))
  }

  const place = row?.tape.place ?? (about?.sided ? bench.side : null)
  const circumstances = {
    place,
    definition: about?.definition ?? 1,
    school: about?.school ?? null,
    method,
    coat: bench.coat,
    postureDoubt: bench.postureDoubt,
    chalkMark: bench.chalkMark && ['M10', 'M12', 'M13'].includes(measure),
    remark: bench.remark,
    heldBy: helper,
    by: fitter,
  }

  const send = (body: NewReading, again: { id: string; typed: string; oneSide: boolean }): void => {
    void acts.read(body, again.id).then((answer) => {
      if (!answer.error) {
        failed.current.delete(key)
        return
      }
      failed.current.set(key, again)
      setDrafts((all) => ({ ...all, [key]: all[key] || again.typed }))
      setProblems((all) => ({ ...all, [key]: `Not saved. ${problemWords(answer.error)} The number stays here; pin it again.` }))
      onFailed(key)
    })
  }

  const pin = (over: Partial<NewReading> = {}): boolean => {
    const value: ParsedEntry = over.mm !== undefined && over.unit !== undefined ? { ok: true, mm: over.mm, unit: over.unit } : parsed
    if (tape === undefined) return false
    if (!value.ok) {
      setProblems((all) => ({ ...all, [key]: value.problem }))
      return false
    }
    const before = failed.current.get(key)
    const id = before && before.typed === typed && before.oneSide === oneSide ? before.id : undefined
    setDrafts((all) => ({ ...all, [key]: '' }))
    send(
      {
        ...circumstances,
        measure: tape,
        mm: value.mm,
        side: oneSide ? 'one' : 'both',
        asTyped: typed.trim().slice(0, 40) || written(value.mm, unit),
        unit: value.unit,
        takenAt: new Date().toISOString(),
        ...(measure === 'M37' ? { dewclaw: 'single' as const } : {}),
        ...over,
      },
      { id: id ?? uuid(), typed, oneSide },
    )
    return true
  }

  return {
    typed,
    setTyped,
    setMm: (mm) => setTyped(written(mm, unit)),
    parsed,
    mm: parsed.ok ? parsed.mm : null,
    problem,
    oneSide,
    setOneSide: (on) => setSides((all) => ({ ...all, [key]: on })),
    doubling,
    weight: about?.quantity === 'mass',
    pin,
    pinDewclaw: (dewclaw) => {
      if (dewclaw === 'none') pin({ mm: 0, unit: unit === 'in' ? 'in' : 'cm', asTyped: 'none', dewclaw })
      else pin({ dewclaw })
    },
    strike: (reading, why) => void acts.mark('reading', reading.id, 'struck', why),
    restore: (reading) => void acts.mark('reading', reading.id, 'restored', 'It was right'),
  }
}
