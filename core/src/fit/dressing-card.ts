import { dressingSteps as steps, families, type Dressing, type DressingStep } from '../gear/index.ts'
import type { Dog, FamilyId, Trait } from '../model/index.ts'

export interface DressingQuestion {
  family: FamilyId
  /** Coat and temper, as far as they are known. */
  dog: { coat?: Dog['coat']; traits?: readonly Trait[] } | null
  /** What is known of the piece: a car harness's build. */
  gear?: { build?: string | null } | null
  /** The seat in the car, where it is worked out; else the usual way is told. */
  car?: object | null
}

export interface DressingCard {
  on: DressingStep[]
  off: DressingStep[]
  /** Out at once. */
  release: DressingStep[]
  /** The order in which it is set at the dog (handbook 8.2); empty for what is sewn fixed. */
  set: DressingStep[]
  habituation: DressingStep[]
  /** The first time out. */
  first: DressingStep[]
  /** Belt and place in the car (8.7). */
  seat?: DressingStep[]
}

/** As the kind goes on, or this build of it. */
function waysOf(family: FamilyId, build: string | null | undefined): Dressing {
  const { dressing, dressingOfBuild = {} } = families[family]
  return Object.entries(dressingOfBuild).find(([of]) => of === build)?.[1] ?? dressing
}

/** Source: handbook 8.8, common practice; boots and drafting from memory, unverified. */
function habituationOf(family: FamilyId): DressingStep[] {
  const { shelf } = families[family]
  if (shelf === 'boot') return steps('one-pair-indoors', 'all-four-indoors', 'then-outside')
  if (shelf === 'crate') return steps('stays-open-cosy')
  if (shelf === 'drafting') return steps('at-home-first', 'wear-then-lines', 'then-empty-cart', 'then-load')
  if (shelf === 'pulling') return steps('at-home-first', 'words-and-line-manners')
  return steps('at-home-first', 'handle-legs-and-belly')
}

function firstOf(family: FamilyId): DressingStep[] {
  const { shelf, pulls: loads } = families[family]
  if (shelf === 'boot') return steps('minutes-then-more', 'paws-after-every-outing')
  if (shelf === 'crate') return steps('minutes-then-more')
  return steps('safe-place', ...(loads ? (['short-and-light'] as const) : []), 'look-under-straps')
}

/**
 * How gear goes on this dog and comes off, how it is let out of it at once, in which order it is set, and how the dog gets
 * used to it (handbook 8.1 to 8.4, 8.7, 8.8). Hair and skin are drawn through where there is much of either, paws are
 * touched first where the dog minds it, and a dog that fights the head opening puts its own head in.
 */
export function dressingCard({ family, dog, gear = null, car = null }: DressingQuestion): DressingCard {
  const { on, off, release, set } = waysOf(family, gear?.build)
  const { shelf } = families[family]
  const traits = dog?.traits ?? []
  const ruff = dog?.coat === 'thick-double' || dog?.coat === 'long'
  const shy = traits.includes('head-shy')
  const gentle = traits.includes('wriggles') || shy
  const overHead = on.some(({ code }) => code === 'over-the-head')
  const dressed = on.flatMap((step): DressingStep[] => [
    ...(step.code === 'over-the-head' && shy ? steps('head-in-by-treats') : []),
    ...((step.code === 'lift-by-the-wrist' || step.code === 'feet-into-holes') && gentle ? steps('touch-paws-first') : []),
    step,
    ...(step.code === 'over-the-head' && ruff && !on.some(({ code }) => code === 'draw-skin-through') ? steps('draw-ruff-through') : []),
  ])
  const seat = shelf === 'car' || car !== null ? steps('rear-in-the-middle', 'head-to-the-centre', 'belt-90-cm', 'thread-and-buckle', 'no-tether', 'no-air-bag', 'replace-after-crash') : null // prettier-ignore
  return {
    on: dressed,
    off: [...off],
    release: [...release],
    set: [...set],
    habituation: [...habituationOf(family), ...(shy && overHead ? steps('head-in-by-treats') : [])],
    first: firstOf(family),
    ...(seat ? { seat } : {}),
  }
}
