import { cautionsOf, type Caution, type GarmentFamily } from '@merry-tailor/core'
import { useOpenTicket } from '../../bench'
import { today } from '../../state/today'
import { cautionWords } from '../../words/cautions'

/** Of all a dog is told, what its garment is about. */
const OF_CLOTH: readonly Caution['code'][] = ['flat-face-hood', 'unattended']

/** What to mind before this garment is made and worn: this dog's own, above the numbers and on paper. */
export function GarmentCautions({ family, paper = false }: { family: GarmentFamily; paper?: boolean }) {
  const { sheet, name } = useOpenTicket()
  const own = cautionsOf(sheet, today()).filter(
    ({ code, level, facts }) => (level === 'stop' || OF_CLOTH.includes(code)) && (facts.family === undefined || facts.family === family),
  )
  // On the bench only what this dog has and others have not.
  const said = paper ? own : own.filter(({ code }) => code !== 'unattended')
  const threeLegs = sheet.ticket.traits.includes('three-legs')
  if (said.length === 0 && !threeLegs) return null
  return (
    <ul aria-label="Mind" className={paper ? 'mt-3 list-disc pl-5' : 'shrink-0 border-b-2 border-ink'}>
      {said.map((caution) => {
        const { title, text } = cautionWords(caution)
        return (
          <li
            key={caution.code}
            className={
              paper
                ? ''
                : `border-l-[5px] px-4 py-1.5 text-[14.5px] leading-[18px] ${caution.level === 'stop' ? 'border-snag bg-snag-bg' : 'border-chalk bg-chalk-bg'}`
            }
          >
            <b>
              {caution.level === 'stop' ? 'Stop. ' : ''}
              {title}.
            </b>{' '}
            {text}
          </li>
        )
      })}
      {threeLegs && (
        <li className={paper ? '' : 'border-l-[5px] border-chalk bg-chalk-bg px-4 py-1.5 text-[14.5px] leading-[18px]'}>
          <b>Three legs.</b> The form stands on four: close the opening that has no leg, and pin the hem on {name} before it is cut.
        </li>
      )}
    </ul>
  )
}
