import type { Check } from '../checks-and-symptoms.ts'

const inside = (id: Check['id'], name: string, how: string, pass: string, symptoms: Check['symptoms']): Check => ({
  id,
  family: 'K1',
  name,
  how,
  pass,
  states: ['slack'],
  symptoms,
})

/** Stand, turn round, lie down: what decides on a crate (handbook 7.2, 10.3, common practice). */
export const crateChecks: readonly Check[] = [
  inside('stands-in-it', 'Stands', 'Let the dog stand in it, head in its normal carriage.', 'Head and ears free of the top.', ['S70']),
  inside('turns-in-it', 'Turns round', 'Lure it round once each way.', 'It turns without climbing.', ['S70']),
  inside('lies-in-it', 'Lies down', 'Let it lie, on its side too.', 'It lies stretched, no more room than that while it is house-trained.', ['S71']),
]
/** A pen is stood and walked in. */
export const penChecks: readonly Check[] = [crateChecks[0] as Check]
