import type { MeasureId } from '@merry-tailor/core'
import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { questionsOf } from '../../bench'
import { aDog, aReading, anItem, aTicket, renderStage, testShop, wideScreen, withTestShop } from '../../test/shop'
import { flagged } from '../../ui/tape/BigInch'
import { MeasureStage } from './MeasureStage'

withTestShop()

const marks = () => testShop().sent.filter((each) => each.path.includes('/marks/')).map((each) => each.body as Record<string, unknown>) // prettier-ignore
const twice = (measure: MeasureId, mm: number) => [aReading(measure, mm), aReading(measure, mm + 2)]
const WANTED = [...twice('M01', 555), ...twice('M06', 190), ...twice('M13', 600)]

describe('what is asked of a tape', () => {
  it('U38 is one question with every reason in it', () => {
    const finding = { rule: 'girth-neck', measures: ['M07', 'M01'] } as never
    const suspect = { measure: 'M07', readMm: 900 } as never
    const other = { measure: 'M14', readMm: 300 } as never
    expect(questionsOf([finding], [suspect, other])).toMatchObject([
      { measure: 'M07', findings: [finding], suspect },
      { measure: 'M14', findings: [], suspect: other },
    ])
  })

  it('U38 U39 says what taking it again strikes, and strikes all of it', async () => {
    wideScreen()
    // A harness neck of 20 inches with an overall length of 40: twice what it can be.
    renderStage(
      aTicket({ dog: aDog({ breed: 'Siberian Husky' }), readings: [...twice('M01', 555), ...twice('M06', 190), ...twice('M13', 1500)] }),
      'measure',
      <MeasureStage />,
    )
    const aside = await screen.findByRole('complementary', { name: 'What the tapes say so far' })
    await waitFor(() => expect(within(aside).getAllByText(/Strikes .* and .*: two new readings\./).length).toBeGreaterThan(0))
    const blocks = within(aside).getAllByRole('region').filter((each) => /Strikes/.test(each.textContent)) // prettier-ignore
    // One block a tape: no two ask about the same one.
    const titles = blocks.map((each) => each.getAttribute('aria-label'))
    expect(new Set(titles).size).toBe(titles.length)
    const block = blocks[0] as HTMLElement
    fireEvent.click(within(block).getByRole('button', { name: /Take again/ }))
    await waitFor(() => expect(marks()).toHaveLength(2))
    expect(marks()).toMatchObject([{ kind: 'struck', why: 'Taken again' }, { kind: 'struck' }])
  })

  it('U40 is over with the last tape: the way on is yellow and Enter goes it', async () => {
    wideScreen()
    const router = renderStage(aTicket({ items: [anItem({ family: 'H11' })], readings: WANTED }), 'measure', <MeasureStage />)
    const aside = await screen.findByRole('complementary', { name: 'What the tapes say so far' })
    await waitFor(() => expect(within(aside).getByRole('link', { name: /Choose/ }).className).toContain('bg-tape'))
    expect(screen.getByText('All taken')).toBeDefined()
    expect(screen.getByRole('button', { name: /Pin it/ }).className).not.toContain('bg-tape')
    expect(screen.getByText('all taken')).toBeDefined()
    const field = screen.getByRole('textbox', { name: /./ })
    // A number typed is pinned as ever.
    fireEvent.change(field, { target: { value: '27' } })
    await waitFor(() => expect(screen.getByRole('button', { name: /Pin it/ }).className).toContain('bg-tape'))
    fireEvent.change(field, { target: { value: '' } })
    fireEvent.keyDown(field, { key: 'Enter' })
    await waitFor(() => expect(router.state.location.pathname).toMatch(/choose$/))
  })
})

describe('U41 the words of two pins a step apart', () => {
  it('stand beside each other or below, never over each other or past an end', () => {
    for (const [width, xs] of [
      [508, [250, 262]],
      [508, [20, 32, 300]],
      [360, [170, 180, 190]],
      [330, [300, 318]],
    ] as const) {
      // prettier-ignore
      const flags = flagged(xs.map((x, i) => ({ x, label: `${i + 1}st` })), width) // prettier-ignore
      const boxes = flags.map(({ pin, anchor, below }) => ({ below, from: anchor === 'end' ? pin.x - 90 : pin.x, to: anchor === 'end' ? pin.x : pin.x + 90 }))
      for (const [i, a] of boxes.entries()) {
        expect(a.from).toBeGreaterThanOrEqual(0)
        expect(a.to).toBeLessThanOrEqual(width)
        for (const b of boxes.slice(i + 1)) if (a.below === b.below) expect(a.to <= b.from || b.to <= a.from).toBe(true)
      }
    }
  })
})
