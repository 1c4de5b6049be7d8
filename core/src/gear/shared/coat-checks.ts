import type { Check } from '../checks-and-symptoms.ts'
import { checkIn } from './check-row.ts'

const coat = checkIn('slack')
const moving = { states: ['moving'] } as const

/** What handbook 7.2 asks of clothes, by kind. Source: common practice. */
const sheathFree = (family: Check['family'], states: Check['states'] = ['slack', 'moving']): Check =>
  coat('sheath-free', family, 'Sheath free', 'Look under the belly, standing and walking.', 'The edge lies ahead of the sheath.', ['S55'], {
    states,
    only: { sex: 'male' },
  })
const sleeve = coat(
  'sleeve-at-wrist',
  'C2',
  'Sleeve about at the wrist',
  'Walk a few steps; where does the sleeve end?',
  'About at the wrist, off the toes.',
  ['S56'],
  moving,
)
const endsBeforeTail = coat('ends-before-tail', 'C1', 'Ends before the tail', 'Look where the hem ends.', 'Before the tail base.', ['S51'], {
  states: ['slack', 'moving'],
})

export const rugChecks: readonly Check[] = [
  coat('starts-under-collar', 'C1', 'Starts just under the collar', 'Lay the collar over it.', 'Just under the collar.', ['S52']),
  endsBeforeTail,
  coat('band-keeps-it', 'C1', 'Band does not slip back', 'Walk, trot, let the dog shake.', 'The band stays where it was.', ['S52', 'S54'], moving),
  coat('band-lets-walk', 'C1', 'Band does not stop the dog', 'Watch the first steps.', 'It walks as without.', ['S53'], moving),
  sheathFree('C1'),
]
export const sweaterChecks: readonly Check[] = [
  coat('belly-rib', 'C2', 'Belly rib', 'Feel along the rib.', 'Stretched at the chest, narrow at the waist.', ['S54']),
  sheathFree('C2'),
  sleeve,
  coat('opening-passes-head', 'C2', 'Opening passes the head', 'Over the head once more, without force.', 'It passes without pressing the ears.', ['S58']),
]
export const winterCoatChecks: readonly Check[] = [
  coat('drop-at-elbows', 'C3', 'Drop at the elbows', 'Look from the side.', 'The side hem lies at the elbows.', ['S51']),
  coat('band-on-its-ring', 'C3', 'Band on its ring', 'Feel where the band goes round.', 'On the ring it was measured on, ahead of the sheath.', ['S52', 'S55']),
  coat('hood-over-ears', 'C3', 'Hood covers the ears', 'Hood up, head up and down.', 'Both ears covered.', ['S59']),
  coat(
    'opening-passes-head',
    'C3',
    'Opening passes head and neck',
    'Over the head once more, without force.',
    'It passes the head, and the thick of the neck.',
    ['S60', 'S58'],
  ),
  sheathFree('C3'),
]
export const rainSuitChecks: readonly Check[] = [
  coat('drawn-in', 'C4', 'Front and belly drawn in', 'Look at the chest and under the belly.', 'Drawn in, snug and not tight.', ['S54', 'S53']),
  { ...sheathFree('C4', ['moving']), name: 'Belly edge ahead of the sheath' },
  coat('leg-ends-off-toes', 'C4', 'Leg ends off the toes', 'Walk a few steps.', 'Every leg ends above the toes.', ['S56'], moving),
  coat('hind-room', 'C4', 'Room for the hind leg', 'Let the dog sit down and get up.', 'Room under the hind foot; nothing pulls.', ['S53'], moving),
  coat('collar-cord-last', 'C4', 'Collar cord last', 'Draw the collar cord when all the rest is set.', 'Closed against rain, two fingers go in.', ['S61']),
]
