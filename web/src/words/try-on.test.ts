import { expect, it } from 'vitest'
import { firstRoundOf } from './try-on'

it('a first round begins in the words of its kind: nothing is put on a dog that goes into it', () => {
  expect(firstRoundOf('H11').button('Elm', 'Tern')).toBe('Put Elm on Tern')
  expect(firstRoundOf('H24').before).toContain('Loosen every adjuster')
  expect(firstRoundOf('B1').before).toContain('each paw by its own size')
  expect(firstRoundOf('C1').before).toContain('Undo every fastening')
  for (const crate of ['K1', 'K2', 'K3', 'K4'] as const) {
    expect(firstRoundOf(crate).button('48', 'Tern')).toBe('Let Tern into 48')
    expect(firstRoundOf(crate).before).not.toMatch(/adjuster|put the size on/)
  }
})
