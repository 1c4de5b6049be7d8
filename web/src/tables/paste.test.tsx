import type { SizeTable } from '@merry-tailor/core'
import { fireEvent, screen, waitFor } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { renderPage, testShop, withTestShop } from '../test/shop'
import { PastePage } from './PastePage'

withTestShop()
const paste = async (text: string): Promise<void> => {
  renderPage('/sizes/paste', '/sizes/paste', <PastePage />)
  fireEvent.change(await screen.findByLabelText('Cells'), { target: { value: text } })
  fireEvent.click(screen.getByRole('button', { name: 'Read the cells' }))
}
const choose = async (title: string, path: string): Promise<void> => {
  fireEvent.keyDown(screen.getByRole('combobox', { name: `What “${title}” stands for` }), { key: 'ArrowDown' })
  const option = await screen.findByRole('option', { name: new RegExp(`^${path}`) })
  fireEvent.keyDown(option, { key: 'Enter' })
}
const takeIn = (): void => void fireEvent.click(screen.getByRole('button', { name: 'Take the table in' }))

describe('pasted cells', () => {
  it('ask which path a word means, keep what nobody names, and become a table', async () => {
    await paste('Size\tNeck\tLength\nS\t35-40\t41-44\nM\t41-46\t45-50')
    await screen.findByRole('heading', { level: 1, name: 'What does each column stand for?' })
    await choose('Neck', 'Harness neck')
    fireEvent.change(screen.getByLabelText('Maker'), { target: { value: 'Test' } })
    fireEvent.change(screen.getByLabelText('Table'), { target: { value: 'Pasted' } })
    takeIn()
    expect((await screen.findByText('Nothing was taken in. What you set here stays.')).parentElement?.textContent).toContain('inches or centimetres')
    fireEvent.click(screen.getByRole('radio', { name: 'Centimetres' }))
    takeIn()
    await waitFor(() => expect(testShop().sent[0]?.path).toBe('/size-tables/test-pasted/1'))
    const made = testShop().sent[0]?.body as SizeTable
    expect(made.sizes.map((size) => size.bands)).toEqual([{ M01: [350, 400] }, { M01: [410, 460] }])
    expect(made.unjudged).toEqual(['Length'])
  })

  it('with single numbers ask how far they give', async () => {
    await paste('Size\tM07\nS\t50')
    const give = await screen.findByLabelText('A single number gives or takes')
    fireEvent.change(screen.getByLabelText('Maker'), { target: { value: 'Test' } })
    fireEvent.change(screen.getByLabelText('Table'), { target: { value: 'Pasted' } })
    fireEvent.click(screen.getByRole('radio', { name: 'Centimetres' }))
    takeIn()
    await screen.findByText('Nothing was taken in. What you set here stays.')
    fireEvent.change(give, { target: { value: '2' } })
    takeIn()
    await waitFor(() => expect((testShop().sent[0]?.body as SizeTable).sizes[0]?.bands).toEqual({ M07: [480, 520] }))
  })

  it('that can’t be read stay, with the reason', async () => {
    await paste('Size\tNeck')
    expect((await screen.findByText('These cells can’t be read.')).parentElement?.textContent).toContain('at least one size')
    expect(screen.getByLabelText<HTMLTextAreaElement>('Cells').value).toBe('Size\tNeck')
  })

  it('need a maker and a name, and stay when the server refuses', async () => {
    testShop().answers['PUT /size-tables'] = () => new Response('{"code":"bad-request","detail":"No."}', { status: 400 })
    await paste('Size\tM07\nS\t50-60')
    await screen.findByLabelText('Maker')
    takeIn()
    expect((await screen.findAllByRole('alert')).map((each) => each.textContent)).toContain('Whose table is it?')
    fireEvent.change(screen.getByLabelText('Maker'), { target: { value: 'Test' } })
    fireEvent.change(screen.getByLabelText('Table'), { target: { value: 'Pasted' } })
    fireEvent.click(screen.getByRole('radio', { name: 'Inches' }))
    takeIn()
    await screen.findByText('Nothing was taken in. What you set here stays.')
    fireEvent.click(screen.getByRole('button', { name: 'Back to the cells' }))
    expect(await screen.findByLabelText('Cells')).toBeDefined()
  })
})
