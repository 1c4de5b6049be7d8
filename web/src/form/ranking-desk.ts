import type { Offer } from '@merry-tailor/core'
import { useEffect, useState } from 'react'
import { rankBeside, type RankQuestion } from './form-desk'

/** Everything on offer, ranked beside the page; the last answer stays until the next is there. `null` asks nothing yet. */
export function useRankAll(question: RankQuestion | null): Offer[] | null {
  const [answer, setAnswer] = useState<Offer[] | null>(null)
  useEffect(() => {
    if (question === null) return
    let wanted = true
    void rankBeside(question).then((ranked) => {
      if (wanted) setAnswer(ranked)
    })
    return () => {
      wanted = false
    }
  }, [question])
  return answer
}
