import type { Observation } from '@merry-tailor/core'
import { useKeys } from '../../state/use-keys'

export const GRADES: readonly Observation['grade'][] = ['holds', 'doubt', 'fails']
export const GRADE_KEYS: Readonly<Record<Observation['grade'], string>> = { holds: 'h', doubt: 'l', fails: 'x' }

/** H, L and X answer the check that is open. */
export function useVerdictKeys(onJudge: (grade: Observation['grade']) => void): void {
  useKeys({ h: () => onJudge('holds'), l: () => onJudge('doubt'), x: () => onJudge('fails') })
}
