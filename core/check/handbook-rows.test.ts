import { describe, expect, it } from 'vitest'
import { HANDBOOK_ROWS } from './handbook-rows.ts'

describe.each(['5.4', '5.5', '5.6', '6.1', '6.2', '6.3', '6.4', '8.6'] as const)('handbook %s', (section) => {
  const rows = HANDBOOK_ROWS.filter((each) => each.section === section)
  it.each(rows)('$row', ({ ask, says }) => {
    expect(ask()).toEqual(says)
  })
  it('has its rows', () => {
    expect(rows.length).toBeGreaterThan(5)
  })
})
