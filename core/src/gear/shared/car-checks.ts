import type { Check } from '../checks-and-symptoms.ts'
import { everyHarness } from './every-harness.ts'

const car = (id: Check['id'], name: string, how: string, pass: string, symptoms: Check['symptoms'], more: Partial<Check> = {}): Check => ({
  id,
  family: 'H24',
  name,
  how,
  pass,
  states: ['slack'],
  symptoms,
  ...more,
})
const twoBuckle = { build: 'two-buckle' } as const
const panel = { build: 'panel' } as const

const [underEveryStrap, , sidesEqual, throatAndBelly] = everyHarness as readonly [Check, Check, Check, Check]

/** What handbook 7.2 asks before a drive, by build; the maker's word goes before it. Source: common practice. */
export const carChecks: readonly Check[] = [
  car('hangs-level', 'Hangs level in the hand', 'Carry it empty on two fingers.', 'It hangs level.', ['S46'], { only: twoBuckle }),
  car(
    'front-eight-fingers',
    'Eight fingers in front',
    'Four flat fingers of each hand under the front, one hand on each side.',
    '8 fingers, four on each side.',
    ['S47'],
    {
      only: twoBuckle,
      gauge: { kind: 'flat', passFingers: [8, 8], looseFails: false },
    },
  ),
  car('back-one-hand', 'One hand in the back', 'Slide one hand in flat under the back.', 'One hand goes in, snug; no tighter.', ['S47', 'S26'], {
    only: twoBuckle,
  }),
  car('straps-in-line', 'Upper and lower straps meet', 'Pull both down and look along them.', 'They lie in one line.', ['S45'], { only: twoBuckle }),
  { ...underEveryStrap, only: panel },
  car('neck-not-tight', 'Neck not very tight', 'Slide fingers in at the neck.', 'A couple of fingers, with ease.', ['S26', 'S23'], {
    only: panel,
    gauge: { kind: 'flat', passFingers: [2, 3], looseFails: false },
  }),
  car('tails-rolled', 'Tails rolled and secured', 'Follow each loose end.', 'Rolled up and held; nothing trails.', ['S50'], { only: panel }),
  sidesEqual,
  car('centred', 'Does not tip to a side', 'Look from the front, then push left and right.', 'Centred; it comes back to the middle.', ['S46']),
  car('buckles-tugged', 'Buckles home', 'Push each until it is home, then tug hard.', 'None opens.', ['S48']),
  { ...throatAndBelly, states: ['slack'] },
]
