import { useOpenTicket } from '../../bench'
import { LastSteps } from './LastSteps'
import { NewRound } from './NewRound'
import { RoundList } from './RoundList'
import type { TryOnInHand } from './use-try-on'

/** The rounds, what comes last, and the next round. */
export function RoundRail({ hand: { item, rounds, round, loop, next }, onRound }: { hand: TryOnInHand; onRound: (id: string) => void }) {
  const { name } = useOpenTicket()
  return (
    <section aria-label="Rounds" className="quiet-scroll flex min-h-0 flex-col bg-panel max-md:flex-1 md:border-r-2 md:border-ink bench:row-span-2">
      <h2 className="shrink-0 border-b-2 border-ink px-4 py-2 text-[19px] leading-6">Rounds on {name}</h2>
      <ol className="quiet-scroll min-h-[132px] flex-1">
        <RoundList item={item} rounds={rounds} current={round} onPick={onRound} />
        {rounds.length === 0 && <li className="px-4 py-3 text-mute">No size on the dog yet.</li>}
      </ol>
      {round && <LastSteps round={round} steps={loop} holds={next.holds} />}
      <NewRound item={item} onMade={onRound} />
    </section>
  )
}
