import { hasOwnChecks } from '@merry-tailor/core'
import { roundsToCsv, roundsToJson } from '@merry-tailor/core/formats'
import { useOpenTicket } from '../../bench'
import { SaveText } from '../../ui/controls/SaveText'
import { FittersWord } from './FittersWord'
import { HowItGoesOn } from './HowItGoesOn'
import { SetAgain } from './SetAgain'
import type { TryOnInHand } from './use-try-on'

/** What is wanted less often than the checks: the fitter’s word, settings of before, how it goes on, the rounds as files. */
export function UnderTheMat({ hand: { item, rounds, round, verdict, canSet, lay, plan, build } }: { hand: TryOnInHand }) {
  const { sheet, name } = useOpenTicket()
  const head = { dog: name, ticket: String(sheet.ticket.number), family: item.family }
  return (
    <>
      {round && verdict && (!hasOwnChecks(item.family) || verdict.word) && <FittersWord family={item.family} round={round} word={verdict.word} />}
      {canSet && <SetAgain item={item} thing={lay.thing} rounds={rounds} plan={plan} />}
      <HowItGoesOn family={item.family} build={build} />
      {rounds.length > 0 && (
        <p className="flex flex-wrap items-center gap-2 px-4 py-2">
          <b>These rounds:</b>
          <SaveText name={`rounds-${sheet.ticket.number}.csv`} type="text/csv" text={() => roundsToCsv(rounds, head)}>
            CSV
          </SaveText>
          <SaveText name={`rounds-${sheet.ticket.number}.json`} type="application/json" text={() => roundsToJson(rounds, head)}>
            JSON
          </SaveText>
        </p>
      )}
    </>
  )
}
