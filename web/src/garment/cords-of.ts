import { cordsFor, edgeLength, suitTunnels, type Cord, type Form, type Garment, type GarmentPlan } from '@merry-tailor/core'

/** What cords are usually given, mm. From memory, unverified. */
export const USUAL_CORDS = { slackMm: 20, tailMm: 80 }

export const CORD_WORDS: Readonly<Record<Cord['place'], string>> = {
  chest: 'Chest, in front', belly: 'Belly', 'leg-front-left': 'Left foreleg', 'leg-front-right': 'Right foreleg', 'leg-hind-left': 'Left hind leg', 'leg-hind-right': 'Right hind leg', collar: 'Collar, last',
} // prettier-ignore

/** A garment's cords in the order they are drawn in: a suit's seven, a hood's one. */
export function cordsOf(garment: Garment, form: Form, plan: GarmentPlan): Cord[] {
  const ring = (id: string): number | null => garment.numbers[id]?.mm ?? form.measures[id]?.mm ?? null
  const casing = garment.pieces.find(({ id }) => id === 'casing')
  const head = ring('M04')
  const tunnels = casing && head ? [{ place: 'collar' as const, flatMm: edgeLength(casing, 'outer'), ringMm: head }] : suitTunnels(garment.pieces, ring)
  try {
    return cordsFor(tunnels, plan.cords ?? USUAL_CORDS)
  } catch {
    return []
  }
}
