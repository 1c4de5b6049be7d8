import { offerKey, tableIn, type LengthStyle, type Offer, type SizedBody } from '@merry-tailor/core'
import { SizeTape } from '../../sizes/SizeTape'
import { VerdictWord } from '../../said/VerdictWord'
import { faceOf } from '../../words/offer-face'
import { lowerFirst } from '../../words/first-letter'
import { measureName, wayName } from '../../words/stages'
import { sizeName } from '../../sizes/size-name'

/** So many makers stand under one another; the rest are in the list of sizes. */
const SHOWN = 4

interface MakersBlockProps {
  ranked: readonly Offer[]
  /** The offer in question. */
  offer: Offer
  body: SizedBody
  look: LengthStyle & { unit: 'in' | 'cm' }
}

/** Two makers and more on the one measure that leads: each maker's sizes as bands of one tape, under the same dog. */
export function MakersBlock({ ranked, offer, body, look }: MakersBlockProps) {
  const measure = offer.best?.perMeasure[0]?.measure
  const others = ranked.filter((each) => tableIn(each) !== null && each.kind !== 'made' && each.kind !== 'gear')
  const asking = others.filter((each) => each.best?.perMeasure.some((fit) => fit.measure === measure))
  if (measure === undefined || asking.length < 2 || !asking.includes(offer)) return null
  return (
    <article aria-label="Makers beside each other" className="border-[1.5px] border-ink bg-panel px-4 pt-2.5 pb-3">
      <h2 className="text-[18px] leading-[22px]">{measureName(measure)}, maker by maker</h2>
      <ul>
        {asking.slice(0, SHOWN).map((each) => {
          const face = faceOf(each)
          return (
            <li key={offerKey(each)} className="mt-2">
              <p className="flex flex-wrap items-baseline justify-between gap-x-3">
                <span>
                  <b>{face.maker}</b>, {lowerFirst(wayName(face.way))}
                  {each.best ? `: ${sizeName(face, each.best.label)}` : ''}
                </span>
                <VerdictWord grade={each.grade} basis="predicted" size={17} />
              </p>
              <SizeTape table={face} measure={measure} hit={each.best?.label ?? null} body={body} look={look} height={22} />
            </li>
          )
        })}
      </ul>
      {asking.length > SHOWN && <p className="mt-1 text-[14px] text-mute">{asking.length - SHOWN} more in the list of sizes.</p>}
    </article>
  )
}
