import { crateOfChart, type OfferOf } from '@merry-tailor/core'
import { Link } from 'react-router'
import { useOpenTicket } from '../../bench'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { Snag } from '../../ui/State'

/** What charts name for the breed, beside what is advised here: two numbers that differ are said to. */
function ChartNote({ offer }: { offer: OfferOf<'series'> }) {
  const { sheet, name } = useOpenTicket()
  const said = [sheet.dog?.breed ?? '', sheet.dog?.crossWith ?? ''].flatMap((breed) => crateOfChart(breed) ?? [])[0]
  if (!said || offer.family === 'K4') return null
  const here = offer.best?.label
  const guess = offer.best?.perMeasure.every((fit) => fit.guess || fit.mm === null) ?? true
  return (
    <p className="mb-4 max-w-[760px] border-l-[5px] border-ink bg-panel px-4 py-2">
      <b>Shops name the {said.label} for this breed</b>: a first guess, by length alone
      {said.thoughtTooSmall ? '; practitioners think it too small' : ''}.{' '}
      {guess
        ? `Nothing of ${name} is taken yet; nose to tail base, the heights and the shoulders decide.`
        : here === undefined || here.startsWith(said.label)
          ? 'The tapes agree.'
          : `By ${name}’s tapes it is the ${here}: the tapes decide, and a try in the shop.`}
    </p>
  )
}

/** From a crate's sizes to its bench. */
function ToBench({ offer }: { offer: OfferOf<'series'> }) {
  const { sheet } = useOpenTicket()
  return (
    <p className="mb-3">
      <Link className="inline-flex min-h-11 items-center font-bold underline" to={`/tickets/${sheet.ticket.id}/crate`}>
        {offer.family === 'K4' ? 'Its floor by panels, its height for jumpers' : 'Look at the dog in it: stand, turn, lie; puppy, air, car'}
      </Link>
    </p>
  )
}

/** Of a growing dog's crate: that it is sized for the grown dog, where the divider stands now, or what is missing. */
export function CrateNote({ offer }: { offer: OfferOf<'series'> }) {
  const { name } = useOpenTicket()
  const look = valueStyle(useAppSelector((state) => state.settings))
  const chart = (
    <>
      <ToBench offer={offer} />
      <ChartNote offer={offer} />
    </>
  )
  if (!offer.grown) return chart
  if (offer.grade === 'none')
    return (
      <div className="mb-4">
        <Snag title={`${name} still grows: a crate is bought for the grown dog.`}>
          Say the breed under Ask, or the size of its parents; then the size shows here. A divider stands behind the puppy.
        </Snag>
      </div>
    )
  const { divider, family } = offer
  return (
    <>
      {chart}
      <p className="mb-4 max-w-[760px] border-l-[5px] border-ink bg-panel px-4 py-2">
        <b>Sized for {name} grown</b>, as its breed usually is.{' '}
        {divider ? (
          <Worded text={`Divider now at ${lengthText(divider[0], look)} to ${lengthText(divider[1], look, true)} of length; move it out as it grows.`} />
        ) : family === 'K1' ? (
          'Nose to tail base says where the divider stands now.'
        ) : (
          'This kind takes no divider: too much room lets a puppy soil one end.'
        )}
      </p>
    </>
  )
}
