import { CORD_PLACES, type Cord, type CordPlace, type GarmentFamily } from '@merry-tailor/core'
import { useState } from 'react'
import { settingOf, strapsIn, useActs, useOpenTicket, type SetThing } from '../bench'
import { problemWords } from '../words/problems'

/** What a hand finds when a cord is drawn in; kept as the mark of its setting. */
export const CORD_ANSWERS = ['lies close', 'bunches', 'cuts in'] as const
export type CordAnswer = (typeof CORD_ANSWERS)[number]

export interface CordRow {
  place: CordPlace
  /** What is foretold of it; `null` of a garment that is not drafted here. */
  foretold: Cord | null
  drawnMm: number | null
  answer: CordAnswer | null
}

/** A setting’s part for a cord. */
const partOf = (place: CordPlace): string => `cord-${place}`

/** Cords of what is on the dog in the order they are drawn in (handbook 8.2): what is foretold, what was found. */
export function useCordSteps(family: GarmentFamily, thing: SetThing, cords: readonly Cord[]) {
  const { sheet } = useOpenTicket()
  const acts = useActs()
  const [problem, setProblem] = useState<string | null>(null)
  const places: readonly CordPlace[] = family === 'C3' ? ['collar'] : CORD_PLACES
  const dogId = sheet.dog?.id ?? null
  const now = strapsIn(sheet.settings, thing, dogId)
  const rows = places.map((place): CordRow => {
    const part = partOf(place)
    const mark = sheet.settings.findLast((each) => !each.struck && each.part === part && each.dogId === dogId && belongs(each.of, thing))?.mark
    return {
      place,
      foretold: cords.find((cord) => cord.place === place) ?? null,
      drawnMm: now[part]?.leftMm ?? null,
      answer: CORD_ANSWERS.find((each) => each === mark) ?? null,
    }
  })
  const answer = async (place: CordPlace, mm: number, mark: CordAnswer | ''): Promise<boolean> => {
    const { error } = await acts.set({ of: settingOf(thing), dogId, part: partOf(place), side: 'both', mm: Math.round(mm * 10) / 10, mark })
    setProblem(error ? `Not kept. ${problemWords(error)}` : null)
    return !error
  }
  return { rows, answer, problem, hood: family === 'C3' }
}

const belongs = (of: { itemId: string } | { pieceId: string }, thing: SetThing): boolean =>
  'itemId' in of ? of.itemId === thing.itemId : of.pieceId === thing.pieceId
