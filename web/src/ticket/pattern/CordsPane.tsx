import type { Form, Garment, GarmentPlan } from '@merry-tailor/core'
import { LengthEntry } from '../../length-entry'
import { VerdictWord } from '../../said/VerdictWord'
import { CORD_WORDS, cordsOf, USUAL_CORDS } from '../../garment'

/** Cords: how much each draws in and how long it is cut, in the order they are drawn in on the dog. */
export function CordsPane({
  garment,
  form,
  plan,
  onChange,
  say,
}: {
  garment: Garment
  form: Form
  plan: GarmentPlan
  onChange: (over: Partial<GarmentPlan>) => void
  say: (mm: number) => string
}) {
  const cords = cordsOf(garment, form, plan)
  const set = plan.cords ?? USUAL_CORDS
  const hood = garment.family === 'C3'
  return (
    <div className="quiet-scroll h-full space-y-3 p-4" tabIndex={0} role="group" aria-label="Cords">
      <div className="grid max-w-[420px] grid-cols-2 gap-3 border-2 border-ink bg-panel p-3">
        <LengthEntry label="Slack of a loop" mm={set.slackMm} least={0} most={300} onSet={(slackMm) => onChange({ cords: { ...set, slackMm } })} />
        <LengthEntry label="Tail, each end" mm={set.tailMm} least={0} most={500} onSet={(tailMm) => onChange({ cords: { ...set, tailMm } })} />
      </div>
      <ol className="border-2 border-ink bg-panel">
        {cords.map(({ place, drawInMm, cordMm, state, ratio }, i) => (
          <li
            key={place}
            className="grid grid-cols-[32px_1fr_auto] items-center gap-x-3 border-b border-rule px-3 py-2 text-[15.5px] leading-5 last:border-b-0"
          >
            <b className="text-[18px]">{i + 1}</b>
            <span>
              <b>{hood ? 'Hood’s face' : CORD_WORDS[place]}</b>
              <span className="block text-[14.5px]">
                {state === 'too-small'
                  ? `The tunnel is ${say(-drawInMm)} shorter than the loop: wider cloth here.`
                  : `Draw in ${say(drawInMm)}; cut ${say(cordMm)} of cord.`}
                {state === 'bunches' ? ` It bunches, ${ratio.toFixed(1)} times the loop: take cloth out.` : ''}
              </span>
            </span>
            <VerdictWord
              grade={state === 'draws' ? 'holds' : state === 'bunches' ? 'doubt' : 'fails'}
              basis="predicted"
              size={16}
              word={state === 'draws' ? 'Should draw' : state === 'bunches' ? 'Bunches' : 'Too small'}
            />
          </li>
        ))}
      </ol>
      <p className="max-w-[560px] text-[14.5px] leading-[19px]">
        {hood ? 'Draw the hood in last, two fingers free at the throat. ' : 'Set trunk before legs, the collar last; knots lie inside. '}
        No cord may hang where a paw or tooth finds it; take the coat off an unattended dog.
      </p>
    </div>
  )
}
