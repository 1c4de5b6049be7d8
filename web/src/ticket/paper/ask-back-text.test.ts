import { describe, expect, it } from 'vitest'
import { askBackText } from './ask-back-text'

describe('the ask-back page as text', () => {
  it('X22 numbers each path in words, says what came, and closes with the shop’s own line', () => {
    const text = askBackText({ name: 'Tern', number: 143, shop: 'Skerry Gear', greeting: 'Please answer by Friday.', open: [{ letters: 'B', asWritten: '24 1/2 in' }], wanted: ['M01', 'M07'], once: [{ measure: 'M13', sent: '62 cm' }] }) // prettier-ignore
    const lines = text.split('\n')
    expect(lines[0]).toBe('About Tern’s measures (ticket 143)')
    expect(text).toContain('- "B", 24 1/2 in: path number')
    expect(lines.find((line) => line.startsWith('1. '))).toMatch(/^1\. .+: .+\./)
    expect(lines.filter((line) => /^ {3}1st:/.test(line))).toHaveLength(2)
    expect(text).toContain('You sent 62 cm. Again:')
    expect(text.trimEnd().endsWith('Please answer by Friday.\nSkerry Gear')).toBe(true)
    // No ID of ours means anything to a customer.
    expect(text).not.toMatch(/\bM\d\d\b/)
  })
  it('asks only for what is open', () => {
    const text = askBackText({ name: 'Tern', number: 0, shop: '', greeting: '', open: [], wanted: [], once: [] })
    expect(text).toBe('About Tern’s measures\n\nPlease write each number with its unit, inches or centimetres, and whether it is one side or the whole ring.\n')
  })
})
