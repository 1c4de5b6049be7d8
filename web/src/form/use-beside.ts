import type { Foretold, Offer, ForetellQuestion, Settled, SettingPlan, StartQuestion, wayIn, WayInQuestion } from '@merry-tailor/core'
import { useEffect, useMemo, useState } from 'react'
import type { CrateBench, CrateBenchQuestion } from '../workers/crate-offers'
import { rankedBefore, rankKey, rankOnce } from './ranked-before'
import { cratesBeside, foretellBeside, settleBeside, startBeside, wayInBeside, type RankQuestion, type SettleQuestion } from './form-desk'

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

interface Ranked {
  offers: Offer[]
  /** It is the answer to what is asked now, not the one before. */
  fresh: boolean
}

/**
 * Everything on offer for one item of a ticket, ranked. What one room has worked out the next has in its first frame; the
 * item's last answer stays until the next is there.
 */
export function useRankAll(item: string, question: RankQuestion | null): Ranked | null {
  const key = useMemo(() => (question === null ? null : rankKey(question)), [question])
  const [answer, setAnswer] = useState<{ of: string; offers: Offer[] } | null>(null)
  useEffect(() => {
    if (question === null || key === null) return
    let wanted = true
    void rankOnce(key, item, question).then((offers) => {
      if (wanted) setAnswer({ of: key, offers })
    })
    return () => {
      wanted = false
    }
  }, [question, key, item])
  return useMemo(() => {
    if (answer && answer.of === key) return { offers: answer.offers, fresh: true }
    const before = key === null ? null : rankedBefore(key, item)
    return before ?? (answer && { offers: answer.offers, fresh: false })
  }, [answer, key, item])
}

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
