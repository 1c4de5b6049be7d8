import type { BootOuting, Dog } from '@merry-tailor/core'
import { useState } from 'react'
import { BackFromOuting } from '../boots'
import { longDay } from '../state/today'
import { Segmented } from '../ui/controls/Segmented'
import { FOOTING_OPTIONS } from '../words/dogs'
import { pawName } from '../words/measuring'

type Footing = BootOuting['footing']
/** So many outings are shown at once. */
const SHOWN = 6

/** What became of boots on an outing, paw by paw. */
function outcome({ paws }: BootOuting): string {
  const of = (what: 'worn' | 'lost'): string[] =>
    Object.entries(paws).flatMap(([paw, each]) => (each[what] ? [pawName(paw as Parameters<typeof pawName>[0]).toLowerCase()] : []))
  const seen = Object.values(paws).some((each) => each.seen.length > 0)
  const parts = [
    ...(of('worn').length > 0 ? [`worn through ${of('worn').join(', ')}`] : []),
    ...(of('lost').length > 0 ? [`lost ${of('lost').join(', ')}`] : []),
    ...(seen ? ['something seen'] : []),
  ]
  return parts.length > 0 ? parts.join('; ') : 'all came back'
}

/** A dog's boots: what comes next in getting used to them, and every outing it had in them. */
export function InBoots({ dog, outings }: { dog: Dog; outings: readonly BootOuting[] }) {
  const standing = outings.filter(({ removed }) => !removed)
  const [open, setOpen] = useState(false)
  const [footing, setFooting] = useState<Footing>(standing[0]?.footing ?? 'snow')
  return (
    <section aria-label="In boots" className="border-b-2 border-ink">
      <h2 className="px-4 py-2 text-[19px] leading-6">In boots</h2>
      {open && (
        <div className="overflow-x-auto px-4 pb-2">
          <Segmented label="Footing" value={footing} options={[...FOOTING_OPTIONS]} onChange={setFooting} />
        </div>
      )}
      <BackFromOuting dogId={dog.id} footing={footing} outings={outings} open={open} onOpen={setOpen} />
      {standing.length > 0 && (
        <ul aria-label="Outings in boots" className="border-t border-rule">
          {standing.slice(0, SHOWN).map((each) => (
            <li key={each.id} className="flex flex-wrap justify-between gap-x-3 border-b border-rule px-4 py-1.5 text-[15px]">
              <b>{longDay(each.on)}</b>
              <span>
                {each.km} km{each.minutes === null ? '' : `, ${each.minutes} min`}
              </span>
              <span className="basis-full text-[14px] text-mute">{outcome(each)}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
