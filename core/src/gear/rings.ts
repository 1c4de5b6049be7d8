import type { Activity } from '../model/index.ts'

export type RingPlace = 'back' | 'left' | 'right'

/**
 * Rings to order for what the dog will do: a bike's side arm wants one on either side too, as the dog may change sides;
 * in front or on a walk the one on the back will do. Source: handbook 5.3, 8.6, 13 (D26), V10; common practice.
 */
export const ringsFor = (activities: readonly Activity[]): RingPlace[] => (activities.includes('bike-side') ? ['back', 'left', 'right'] : ['back'])
