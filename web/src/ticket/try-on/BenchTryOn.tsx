import type { Item } from '@merry-tailor/core'
import { garmentFamily, GarmentSteps } from '../../garment'
import { ItemPanel, ItemsInHand, ItemTabs } from '../../bench'
import { Button } from '../../ui/controls/Button'
import { Empty } from '../../ui/State'
import { useMedia } from '../../ui/use-media'
import { useBox } from '../../ui/use-width'
import { BothSides } from './BothSides'
import { HowItGoesOn } from './HowItGoesOn'
import { LoopLine } from './LoopLine'
import { NextMove } from './NextMove'
import { RoundRail } from './RoundRail'
import { RoundTitle } from './RoundTitle'
import { DraftSteps } from './DraftSteps'
import { StrapStrip } from './StrapStrip'
import { Symptoms } from './Symptoms'
import { TagMat } from './TagMat'
import { UnderTheMat } from './UnderTheMat'
import type { TryOnInHand } from './use-try-on'
import { firstRoundOf } from '../../words/try-on'

interface BenchTryOnProps {
  hand: TryOnInHand
  items: readonly Item[]
  onItem: (id: string) => void
  onRound: (id: string) => void
}

/** A round on a bench: rounds, the dog with its checks round it, symptoms, straps under all. */
export function BenchTryOn({ hand, items, onItem, onRound }: BenchTryOnProps) {
  const { item, round, mat, loop, elsewhere, isSeen, build, plan, canSet, apart, setApart, part, setPart, turn } = hand
  const garment = garmentFamily(item.family)
  const [scroller, room] = useBox<HTMLDivElement>(790, 480)
  const narrow = useMedia('(max-width: 1179px)')
  const symptoms = (className: string, heading: boolean) =>
    round && (
      <Symptoms
        family={item.family}
        round={round}
        predicted={hand.lay.now?.checks ?? []}
        part={part}
        onPart={setPart}
        className={className}
        heading={heading}
      />
    )
  return (
    <ItemsInHand
      items={items}
      current={item.id}
      onPick={onItem}
      className="grid min-h-0 flex-1 grid-cols-[216px_1fr] grid-rows-[minmax(0,1fr)_auto] bench:grid-cols-[216px_1fr_284px]"
    >
      <RoundRail hand={hand} onRound={onRound} />
      <section aria-label="Checks" className="flex min-h-0 min-w-0 flex-col bench:last:col-span-2">
        <ItemTabs items={items} />
        <ItemPanel items={items} current={item.id} className="flex min-h-0 flex-1 flex-col">
          <RoundTitle hand={hand} />
          {round && <LoopLine steps={loop} />}
          <div ref={scroller} className="quiet-scroll min-h-0 flex-1 bg-panel">
            {mat ? (
              <>
                {mat.checks.length > 0 && <TagMat {...mat} leastHeight={room.height} />}
                {elsewhere && mat.checks.length > 0 && isSeen && (
                  <div className="border-b border-rule px-5 py-2">
                    <Button tone="primary" onClick={() => turn(elsewhere.state)}>
                      Next: {elsewhere.label}
                    </Button>
                  </div>
                )}
                {narrow && (
                  <details className="border-b border-rule" open={part !== null || undefined}>
                    <summary className="flex min-h-11 cursor-pointer items-center px-4 font-bold">What you see, what to do</summary>
                    {symptoms('border-t border-rule', false)}
                  </details>
                )}
                <UnderTheMat hand={hand} />
              </>
            ) : (
              <div className="mat min-h-full p-4">
                <div className="max-w-[560px] border-2 border-ink bg-panel">
                  <Empty>{firstRoundOf(item.family).before}</Empty>
                  <HowItGoesOn family={item.family} build={build} />
                </div>
              </div>
            )}
          </div>
        </ItemPanel>
      </section>
      {!narrow && symptoms('border-l-2', true)}
      {round && (
        <div className="col-span-2 flex min-w-0 items-stretch border-t-2 border-ink bg-panel">
          {hand.draws ? (
            <DraftSteps hand={hand} />
          ) : garment ? (
            <GarmentSteps item={item} family={garment} thing={hand.lay.thing} round={round} rounds={hand.rounds} />
          ) : canSet ? (
            <StrapStrip plan={plan} apart={apart} onApart={setApart} />
          ) : (
            <p className="flex-1 self-center px-5 py-2 text-mute">
              {hand.lay.now?.laid ? 'Nothing to set: every strap is sewn. What does not hold wants another size.' : 'Nothing here has straps that are set.'}
            </p>
          )}
          {(!(hand.draws || garment) || hand.next.holds || hand.next.fails) && (
            <div className="flex w-[258px] shrink-0 flex-col justify-center border-l border-rule px-2.5 py-1.5">
              <NextMove {...hand.next} onTest={focusTest} />
              {canSet && <BothSides apart={apart} onApart={setApart} />}
            </div>
          )}
        </div>
      )}
    </ItemsInHand>
  )
}

/** The test in the safe place is answered among the rounds. */
function focusTest(): void {
  document.querySelector<HTMLElement>('[aria-label="Safe place"] button')?.focus()
}
