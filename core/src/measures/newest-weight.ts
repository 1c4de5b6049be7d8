import type { Dog, Reading, Weighing } from '../model/index.ts'

interface Weighed {
  dog: Pick<Dog, 'weightKg'> | null
  readings: readonly Reading[]
  weighings?: readonly Weighing[]
}

/**
 * What the dog weighs now, kilograms: the newest of what was weighed at the bench (M00, not struck out) and in its
 * record, by day and moment; the record's own number where nothing was weighed; `null` where nothing is known.
 */
export function newestWeightKg({ dog, readings, weighings = [] }: Weighed): number | null {
  const all = [
    ...readings.flatMap((reading) =>
      reading.measure === 'M00' && !reading.struck ? [{ at: `${reading.on ?? reading.takenAt.slice(0, 10)} ${reading.takenAt}`, kg: reading.mm }] : [],
    ),
    ...weighings.map(({ on, at, kg }) => ({ at: `${on} ${at}`, kg })),
  ].sort((a, b) => a.at.localeCompare(b.at))
  return all.at(-1)?.kg ?? dog?.weightKg ?? null
}
