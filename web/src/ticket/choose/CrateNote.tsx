import type { OfferOf } from '@merry-tailor/core'
import { useOpenTicket } from '../../bench'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { Snag } from '../../ui/State'

/** Of a growing dog's crate: that it is sized for the grown dog, where the divider stands now, or what is missing. */
export function CrateNote({ offer }: { offer: OfferOf<'series'> }) {
  const { name } = useOpenTicket()
  const look = valueStyle(useAppSelector((state) => state.settings))
  if (!offer.grown) return null
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
  )
}
