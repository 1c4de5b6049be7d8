import type { Offer, Settled } from '@merry-tailor/core'
import { useEffect, useState } from 'react'
import { rankBeside, settleBeside, type RankQuestion, type SettleQuestion } from './form-desk'

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

/** What would settle the doubt between the sizes of one table. */
export const useSettled = (question: SettleQuestion | null): Settled | null => useBeside(question, settleBeside)
