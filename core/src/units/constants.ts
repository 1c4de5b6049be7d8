export type LengthUnit = 'in' | 'cm' | 'mm'

/**
 * Millimetres in one unit.
 * Source: International Yard and Pound Agreement 1959 (1 in = 25.4 mm exactly; value from memory); SI prefixes.
 */
export const MM_PER_UNIT: Readonly<Record<LengthUnit, number>> = { in: 25.4, cm: 10, mm: 1 }

/** Source: International Yard and Pound Agreement 1959 (exact; value from memory). */
export const KG_PER_POUND = 0.45359237

/** No tape laid on a dog is longer than this: 3 m. */
export const LONGEST_MM = 3000
