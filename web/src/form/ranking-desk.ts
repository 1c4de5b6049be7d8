import type { RankedTable } from '@merry-tailor/core'
import { useEffect, useState } from 'react'
import { rankBeside, type RankQuestion } from './form-desk'

/** Every size of every table, ranked beside the page; the last answer stays until the next is there. `null` asks nothing yet. */
export function useRankAll(question: RankQuestion | null): RankedTable[] | null {
  const [answer, setAnswer] = useState<RankedTable[] | null>(null)
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
