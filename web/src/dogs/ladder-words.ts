import type { NextRung, Rung } from '@merry-tailor/core'

export const RUNG_NAMES: Readonly<Record<Rung, string>> = { wear: 'Wear it', lines: 'Draw lines', empty: 'Empty cart', load: 'A load' }

/** Why the next outing is what it is. */
export const BECAUSE: Readonly<Record<NextRung['because'], string>> = {
  first: 'Everything begins with wearing it: walk, eat, drink, lie down in it.',
  down: 'Twice it was not calm: one rung down, until it is.',
  again: 'It was not calm last time: the same once more, shorter.',
  up: 'Three calm days at this: one rung up.',
  top: 'Calm three days with its own weight behind it: no more than that.',
  stay: 'Calm so far: three calm days in a row, then on.',
  growing: 'It still grows: lines at most. Bones and joints first; ask the vet.',
  'age-unknown': 'Nobody knows how old it is: lines at most. Ask, or ask the vet.',
}
