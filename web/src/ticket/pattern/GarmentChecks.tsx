import { symptoms, type Garment, type GarmentCheck } from '@merry-tailor/core'
import { VerdictWord } from '../../said/VerdictWord'
import { CHECK_NAMES, checkValue, elseWords } from '../../garment'

/** What is foretold of a garment, check by check: number, value, hollow mark, and what to expect else. */
export function GarmentChecks({ garment, say }: { garment: Garment; say: (mm: number) => string }) {
  return (
    <ol aria-label="Checks">
      {garment.checks.map((check, i) => (
        <li key={check.id} className="border-t border-rule px-4 py-1.5 text-[14.5px] leading-[20px]">
          <p className="flex flex-wrap items-baseline justify-between gap-x-2">
            <span className="flex shrink-0 items-baseline gap-2 font-bold">
              <span
                className={`inline-flex size-[21px] shrink-0 items-center justify-center self-center rounded-full text-[12.5px] text-panel ${check.grade === 'holds' ? 'bg-ink' : check.grade === 'fails' ? 'bg-snag' : 'bg-chalk'}`}
              >
                {i + 1}
              </span>
              {CHECK_NAMES[check.id]}
            </span>
            <span className="ml-auto text-right">{checkValue(check, say)}</span>
          </p>
          <p className="flex flex-wrap items-center justify-between gap-x-2 pl-[29px]">
            <VerdictWord grade={check.grade} basis="predicted" size={15} />
          </p>
          {check.grade !== 'holds' && <Else check={check} />}
        </li>
      ))}
    </ol>
  )
}

/** What to expect where it does not hold: opened, the symptom with its cause and what to do. */
function Else({ check }: { check: GarmentCheck }) {
  const symptom = check.symptom ? symptoms[check.symptom] : undefined
  if (!symptom) return <p className="pl-[29px] text-[13.5px] leading-[17px] text-mute">{elseWords(check.id)}</p>
  return (
    <details className="pl-[29px] text-[13.5px] leading-[17px]">
      <summary className="flex min-h-11 cursor-pointer items-center text-mute underline">
        {elseWords(check.id)} ({symptom.id})
      </summary>
      <p className="pb-1.5">
        <b>{symptom.name}.</b> {symptom.cause}. {symptom.remedies.map((each) => `${each.do}.`).join(' ')}
      </p>
    </details>
  )
}
