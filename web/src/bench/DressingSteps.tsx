import { dressingCard, families, type DressingCard, type FamilyId } from '@merry-tailor/core'
import { dressingWords } from '../words/dressing'
import { useOpenTicket } from './open-ticket'

const PARTS: readonly [keyof DressingCard, string][] = [
  ['on', 'On'],
  ['set', 'Set in this order, a little left, a little right'],
  ['off', 'Off'],
  ['release', 'Out at once'],
  ['seat', 'In the car'],
  ['habituation', 'Getting used to it'],
  ['first', 'First time out'],
]

/** How a kind goes on this dog, is set, and comes off, step by step. */
export function DressingSteps({ family, build }: { family: FamilyId; build: string | null }) {
  const { sheet } = useOpenTicket()
  const card = dressingCard({ family, dog: { coat: sheet.dog?.coat ?? null, traits: sheet.ticket.traits }, gear: { build } })
  return (
    <>
      {build === null && families[family].dressingOfBuild && (
        <p className="px-5 pb-2 text-mute">So with a panel. One of two buckles goes on otherwise: the first check of its build tells which it is.</p>
      )}
      <div className="grid gap-x-6 gap-y-3 px-5 pb-4 sm:grid-cols-2">
        {PARTS.map(([part, title]) => {
          const steps = card[part] ?? []
          return steps.length === 0 ? null : (
            <section key={part} aria-label={title}>
              <h3 className="text-[16px] leading-[20px]">{title}</h3>
              <ol className="mt-1 list-decimal space-y-0.5 pl-5">
                {steps.map((step, i) => (
                  <li key={`${step.code}${i}`}>{dressingWords(step)}</li>
                ))}
              </ol>
            </section>
          )
        })}
      </div>
    </>
  )
}
