import type { RankedTable } from '@merry-tailor/core'
import { useEffect, useState } from 'react'
import { rankBeside, type RankQuestion } from './form-desk'

/** Every size of every table, ranked beside the page; the last answer stays until the next is there. */
export function useRankAll(question: RankQuestion): RankedTable[] | null {
  const [answer, setAnswer] = useState<RankedTable[] | null>(null)
  useEffect(() => {
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
