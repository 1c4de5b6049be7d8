import type { Grade } from '../model/index.ts'

/** Order of grades, the worst first and the best first; what says nothing stands last in both. */
export const BAD_FIRST: Readonly<Record<Grade, number>> = { fails: 0, doubt: 1, holds: 2, none: 3 }
export const GOOD_FIRST: Readonly<Record<Grade, number>> = { holds: 0, doubt: 1, fails: 2, none: 3 }

/** The worst grade of those that say anything; `none` when none does. */
export function worstGrade(grades: readonly Grade[]): Grade {
  return grades.reduce<Grade>((worst, grade) => (BAD_FIRST[grade] < BAD_FIRST[worst] ? grade : worst), 'none')
}
