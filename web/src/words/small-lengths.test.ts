import { expect, it } from 'vitest'
import { smallLengths } from './small-lengths'

it('U52 says small lengths of a sentence in the unit of the reader', () => {
  expect(smallLengths('Equal, within 5 mm.', 'in')).toBe('Equal, within 3/16 in.')
  expect(smallLengths('Equal, within 5 mm.', 'cm')).toBe('Equal, within 5 mm.')
  expect(smallLengths('Nothing to read.', 'in')).toBe('Nothing to read.')
})
