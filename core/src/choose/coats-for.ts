import type { Suits } from '../gear/index.ts'
import type { Dog, FamilyId, Need } from '../model/index.ts'
import { stillGrows } from '../reference/index.ts'
import { hasFlatFace } from './cautions.ts'
import { bestFirst, worseRank, type GearReason, type RankedGear } from './ranked-gear.ts'

export interface CoatQuestion {
  dog: Dog | null
  /** What is asked of it: `dry`, `warm` or both count, and the air; the rest is no question of coats. */
  needs: readonly Need[]
  /** Day the question is asked on, `YYYY-MM-DD`. */
  on: string
  airC?: number | null
  headShy?: boolean
}

/** Above this a warm coat or a closed suit is too warm, degrees Celsius; below it is severe cold. Ours, unverified. */
const WARM_C = 18
const SEVERE_C = -5

/**
 * Coats for what a dog needs, best first. Source: handbook 5.5 (C5, and the warm weather of C4, from memory, unverified);
 * which of them leads for dry and for warm is ours.
 */
export function coatsFor({ dog, needs, on, airC = null, headShy = false }: CoatQuestion): RankedGear[] {
  const [dry, warm] = [needs.includes('dry'), needs.includes('warm')]
  const hot = airC !== null && airC > WARM_C
  const thin = dog?.coat === 'smooth' || dog?.coat === 'hairless'
  const thick = dog?.coat === 'thick-double' || dog?.coat === 'long'
  const severe = airC !== null && airC <= SEVERE_C
  const grows = stillGrows(dog, on)
  const ranked = (family: FamilyId, start: Suits, said: readonly (readonly [GearReason, boolean, boolean, Suits?])[]): RankedGear => {
    let rank = start
    const reasons: RankedGear['reasons'] = []
    for (const [code, speaks, is, atBest] of said) {
      if (!is) continue
      reasons.push({ code, for: speaks })
      if (!speaks) rank = worseRank(rank, atBest ?? 'conditions')
    }
    return { family, rank, reasons, stops: [] }
  }
  return bestFirst([
    ranked('C1', warm ? 'first' : 'works', [
      ['harness-over-it', true, warm],
      ['grows-with-it', true, grows],
      ['not-in-rain', false, dry, 'wrong'],
      ['thick-coat-warms', false, warm && thick],
      ['severe-cold', false, warm && severe, 'works'],
      ['warm-weather', false, hot, 'wrong'],
    ]),
    ranked('C2', warm ? 'works' : 'conditions', [
      ['cold-house', true, warm],
      ['not-in-rain', false, dry, 'wrong'],
      ['long-underside', false, dog?.sex === 'male'],
      ['head-and-legs-handled', false, headShy],
      ['thick-coat-warms', false, warm && thick],
      ['warm-weather', false, hot, 'wrong'],
    ]),
    ranked('C3', warm ? (severe || thin ? 'first' : 'works') : 'conditions', [
      ['severe-cold', true, warm && severe],
      ['thin-coat', true, thin],
      ['head-and-legs-handled', false, headShy],
      ['no-rigid-hood', false, dog !== null && hasFlatFace(dog)],
      ['thick-coat-warms', false, warm && thick],
      ['warm-weather', false, hot, 'wrong'],
    ]),
    ranked('C4', dry ? 'first' : 'wrong', [
      ['rain-and-mud', true, dry],
      ['set-once', true, dry],
      ['warm-weather', false, hot],
      ['head-and-legs-handled', false, headShy],
    ]),
    ranked('C5', hot ? 'works' : 'conditions', [
      ['night-and-heat', true, hot || (!dry && !warm)],
      ['not-in-rain', false, dry, 'wrong'],
      ['severe-cold', false, warm, 'wrong'],
    ]),
  ])
}
