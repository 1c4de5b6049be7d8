import { families, type FamilyId } from '@merry-tailor/core'

/** How a first round begins, said as it is done with this kind. */
interface FirstRound {
  /** What to do before, and how practitioners begin. */
  before: string
  button: (label: string, name: string) => string
  again: (label: string) => string
  /** What is folded under: on and off, or in and out. */
  how: (name: string) => string
  sizeLabel: string
}

const WORN: FirstRound = {
  before: 'Loosen every adjuster, put the size on, and begin a round. Practitioners often start here, with two sizes on the rack.',
  button: (label, name) => `Put ${label} on ${name}`,
  again: (label) => `New round with ${label}`,
  how: (name) => `How it goes on ${name}, and off`,
  sizeLabel: 'Size to put on',
}
const ON_PAWS: FirstRound = {
  ...WORN,
  before: 'Nails and hair tidy, straps open: put a boot on each paw by its own size, let it walk at once, and begin a round.',
}
const COAT: FirstRound = {
  ...WORN,
  before: 'Undo every fastening, lay it on without pulling hair, close it, and begin a round. It is judged standing, then walking and sitting.',
}
const HOME: FirstRound = {
  before: 'Door open, bedding in: let the dog walk in by itself, and begin a round. It stands, sits, turns and lies before anything is judged.',
  button: (label, name) => `Let ${name} into ${label}`,
  again: (label) => `New round in ${label}`,
  how: (name) => `How ${name} gets used to it, in and out`,
  sizeLabel: 'Size to look at',
}

export function firstRoundOf(family: FamilyId): FirstRound {
  const { shelf } = families[family]
  return shelf === 'crate' ? HOME : shelf === 'boot' ? ON_PAWS : shelf === 'coat' ? COAT : WORN
}
