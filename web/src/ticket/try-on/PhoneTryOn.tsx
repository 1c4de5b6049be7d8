import type { Item } from '@merry-tailor/core'
import { garmentFamily, GarmentSteps } from '../../garment'
import { ItemPanel, ItemsInHand, ItemTabs, useOpenTicket } from '../../bench'
import { Segmented } from '../../ui/controls/Segmented'
import { BothSides } from './BothSides'
import { LoopLine } from './LoopLine'
import { spanWords } from './moves'
import { NextMove } from './NextMove'
import { PhoneCheck } from './PhoneCheck'
import { RoundRail } from './RoundRail'
import { StateKeys } from './StateKeys'
import { DraftSteps } from './DraftSteps'
import { StrapStrip } from './StrapStrip'
import { Symptoms } from './Symptoms'
import { UnderTheMat } from './UnderTheMat'
import { useElapsed } from './use-elapsed'
import type { TryOnInHand } from './use-try-on'
import { firstRoundOf } from '../../words/try-on'
import { HowItGoesOn } from './HowItGoesOn'

export type TryOnPage = 'checks' | 'straps' | 'symptoms' | 'rounds'

interface PhoneTryOnProps {
  hand: TryOnInHand
  items: readonly Item[]
  page: TryOnPage
  onPage: (page: TryOnPage) => void
  onItem: (id: string) => void
  onRound: (id: string) => void
}

/** A round on a phone: one check a screen; straps, symptoms and rounds are screens of their own. */
export function PhoneTryOn({ hand, items, page, onPage, onItem, onRound }: PhoneTryOnProps) {
  const { name } = useOpenTicket()
  const { item, round, mat, state, states, elsewhere, canSet, plan, apart, setApart } = hand
  const garment = garmentFamily(item.family)
  const checks = mat?.checks ?? []
  const pages: { value: TryOnPage; label: string }[] = [
    { value: 'checks', label: 'Checks' },
    { value: 'straps', label: canSet || hand.draws ? 'Straps' : garment ? (garment === 'C3' || garment === 'C4' ? 'Cords' : 'Pins') : 'More' },
    { value: 'symptoms', label: 'Symptoms' },
    { value: 'rounds', label: 'Rounds' },
  ]
  const shown = round ? page : 'rounds'
  const next = <NextMove {...hand.next} onTest={() => onPage('rounds')} onAgain={() => onPage('rounds')} />
  return (
    <ItemsInHand items={items} current={item.id} onPick={onItem} className="flex min-h-0 flex-1 flex-col">
      <h1 className="sr-only">{round ? `${round.label} on ${name}` : 'Put a size on'}</h1>
      <ItemTabs items={items} />
      {round && (
        <nav className="flex shrink-0 border-b-2 border-ink bg-panel px-1.5 py-1 [&>*]:flex-1 [&>*>*]:flex-1" aria-label="Try on">
          <Segmented label="Page" value={shown} options={pages} onChange={onPage} />
        </nav>
      )}
      <ItemPanel items={items} current={item.id} className="flex min-h-0 flex-1 flex-col">
        {shown === 'checks' && mat && (
          <>
            {states.length > 1 && (
              <div className="flex shrink-0 bg-bench px-1.5 pt-1 [&>*]:flex-1 [&>*>*]:flex-1">
                <StateKeys hand={hand} />
              </div>
            )}
            {checks.length > 0 ? (
              <PhoneCheck
                {...mat}
                at={Math.max(
                  0,
                  checks.findIndex(({ id }) => id === mat.open),
                )}
                onAt={(to) => mat.onOpen(checks[to]?.id ?? null)}
                after={elsewhere ? { words: `Next: ${elsewhere.label}`, go: () => hand.turn(elsewhere.state) } : null}
                roundWords={<RoundClock hand={hand} />}
                next={next}
                key={state}
              />
            ) : (
              <div className="quiet-scroll min-h-0 flex-1">
                <UnderTheMat hand={hand} />
              </div>
            )}
          </>
        )}
        {shown === 'straps' && (
          <div className="quiet-scroll min-h-0 flex-1">
            <LoopLine steps={hand.loop} />
            <div className="flex flex-col gap-1 p-2">
              {next}
              {canSet && <BothSides apart={apart} onApart={setApart} />}
            </div>
            {hand.draws && <DraftSteps hand={hand} />}
            {garment && round && <GarmentSteps item={item} family={garment} thing={hand.lay.thing} round={round} rounds={hand.rounds} />}
            {canSet && <StrapStrip plan={plan} apart={apart} onApart={setApart} />}
            <UnderTheMat hand={hand} />
          </div>
        )}
        {shown === 'symptoms' && round && (
          <Symptoms family={item.family} round={round} predicted={hand.lay.now?.checks ?? []} part={hand.part} onPart={hand.setPart} className="flex-1" />
        )}
        {!round && (
          <div className="shrink-0">
            <p className="px-5 pt-3 pb-1">{firstRoundOf(item.family).before}</p>
            <HowItGoesOn family={item.family} build={hand.build} />
          </div>
        )}
        {shown === 'rounds' && (
          <RoundRail
            hand={hand}
            onRound={(id) => {
              onRound(id)
              onPage('checks')
            }}
          />
        )}
      </ItemPanel>
    </ItemsInHand>
  )
}

function RoundClock({ hand: { round, rounds, isLast } }: { hand: TryOnInHand }) {
  const soFar = useElapsed(isLast ? (round?.at ?? null) : null)
  return (
    <>
      round {round ? rounds.indexOf(round) + 1 : 1}
      {soFar === null ? '' : `, ${spanWords(soFar)}`}
    </>
  )
}
