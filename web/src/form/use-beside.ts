import type { Foretold, Offer, ForetellQuestion, Settled, SettingPlan, StartQuestion, wayIn, WayInQuestion } from '@merry-tailor/core'
import { useEffect, useState } from 'react'
import type { CrateBench, CrateBenchQuestion } from '../workers/crate-offers'
import { cratesBeside, foretellBeside, rankBeside, settleBeside, startBeside, wayInBeside, type RankQuestion, type SettleQuestion } from './form-desk'

/** What is worked out beside the page; the last answer stays until the next is there. `null` asks nothing yet. */
function useBeside<Q, A>(question: Q | null, ask: (question: Q) => Promise<A>): A | null {
  const [answer, setAnswer] = useState<A | null>(null)
  useEffect(() => {
    if (question === null) return
    let wanted = true
    void ask(question).then((found) => {
      if (wanted) setAnswer(found)
    })
    return () => {
      wanted = false
    }
  }, [question, ask])
  return answer
}

/** Everything on offer, ranked. */
export const useRankAll = (question: RankQuestion | null): Offer[] | null => useBeside(question, rankBeside)

/** The series of crates against one dog, and how it turns in each. */
export const useCrates = (question: CrateBenchQuestion | null): CrateBench | null => useBeside(question, cratesBeside)

/** A way to bring a box in. */
export const useWayIn = (question: WayInQuestion | null): ReturnType<typeof wayIn> => useBeside(question, wayInBeside)

/** What would settle the doubt between the sizes of one table. */
export const useSettled = (question: SettleQuestion | null): Settled | null => useBeside(question, settleBeside)

interface AskedForetold {
  questions: readonly ForetellQuestion[]
  answers: (Foretold | null)[]
}

/**
 * What is foretold of several things on one dog, in the order asked. The last answers stay until the next are there, and
 * say which questions they are of; `null` until the first.
 *
 * @param channel newer questions of one channel cancel older ones
 */
export function useForetold(channel: string, questions: readonly ForetellQuestion[] | null): AskedForetold | null {
  const [answer, setAnswer] = useState<AskedForetold | null>(null)
  useEffect(() => {
    if (questions === null) return
    let wanted = true
    void foretellBeside(channel, questions).then((answers) => {
      if (wanted && answers) setAnswer({ questions, answers })
    })
    return () => {
      wanted = false
    }
  }, [channel, questions])
  return answer
}

/** Where to set the straps to begin with, and how far from there each may stand. */
export const useSettingPlan = (question: StartQuestion | null): SettingPlan | null => useBeside(question, startBeside)
