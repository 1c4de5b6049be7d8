import type { TryOn } from '@merry-tailor/core'
import { useEffect, useState } from 'react'
import { useActs } from '../../bench'
import { Button } from '../../ui/controls/Button'
import { problemWords } from '../../words/problems'

const DRILL = 'release-drilled'

/** The dog out of the cart as in an emergency, with a watch: how long it took stands with the answer. */
export function ReleaseDrill({ round }: { round: TryOn }) {
  const acts = useActs()
  const [begunAt, setBegunAt] = useState<number | null>(null)
  const [took, setTook] = useState<number | null>(null)
  const [now, setNow] = useState(0)
  const [problem, setProblem] = useState<string | null>(null)
  useEffect(() => {
    if (begunAt === null) return
    const timer = setInterval(() => setNow(Date.now()), 200)
    return () => clearInterval(timer)
  }, [begunAt])
  const said = round.observations.findLast((each) => each.check === DRILL && !each.struck)
  const say = (grade: 'holds' | 'doubt'): void =>
    void acts.observe(round.id, { check: DRILL, state: 'slack', grade, asTyped: `${(took ?? 0).toFixed(0)} s`, mm: null, fingers: null }).then(({ error }) => {
      setProblem(error ? `Not saved. ${problemWords(error)}` : null)
      if (!error) setTook(null)
    })
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule px-4 py-1.5 text-[15px]">
      <b>Release drill</b>
      {begunAt !== null ? (
        <>
          <span className="text-[20px] font-bold" aria-live="off">
            {Math.max(0, (now - begunAt) / 1000).toFixed(0)} s
          </span>
          <Button
            tone="primary"
            onClick={() => {
              setTook((Date.now() - begunAt) / 1000)
              setBegunAt(null)
            }}
          >
            It is out
          </Button>
        </>
      ) : took !== null ? (
        <>
          <span>
            Out in <b>{took.toFixed(0)} s</b>. In one go, without haste?
          </span>
          <Button onClick={() => say('holds')}>In one go</Button>
          <Button tone="quiet" onClick={() => say('doubt')}>
            Look again
          </Button>
        </>
      ) : (
        <>
          <span className="text-mute">
            {said?.asTyped ? `${said.grade === 'holds' ? 'In one go' : 'Not in one go'}, ${said.asTyped}` : 'as in an emergency, once'}
          </span>
          <Button
            tone="quiet"
            onClick={() => {
              setNow(Date.now())
              setBegunAt(Date.now())
            }}
          >
            {said ? 'Once more' : 'Start the watch'}
          </Button>
        </>
      )}
      {problem && (
        <span role="alert" className="font-semibold text-snag">
          {problem}
        </span>
      )}
    </div>
  )
}
