import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { AskBack } from '../paper/AskBack'
import { AT, aReading, anItem, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { isOpen } from '../../bench'
import { LettersPage } from './LettersPage'

withTestShop()
const written = (letters: string, asWritten: string) => ({
  id: nextId(),
  letters,
  asWritten,
  came: 'mail' as const,
  wanted: 'M14' as const,
  remark: '',
  at: AT,
  by: 'Ylva',
  became: null,
})

/** What stands under a field and is tied to it. */
const saidOf = (field: HTMLElement): string => document.getElementById(field.getAttribute('aria-describedby') ?? '')?.textContent ?? ''

describe('numbers as written', () => {
  it('are kept just as they stood, with what is missing said at the field', async () => {
    renderStage(aTicket(), 'letters', <LettersPage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Keep as written' }))
    const [letters, number] = [screen.getByLabelText('Their letter or word'), screen.getByLabelText('The number, as written')]
    await waitFor(() => expect(saidOf(letters)).toContain('What did they call it?'))
    expect(saidOf(number)).toContain('The number just as it stood there.')
    expect(document.activeElement).toBe(letters)
    fireEvent.change(letters, { target: { value: 'length' } })
    await waitFor(() => expect(saidOf(letters)).toBe(''))
    fireEvent.click(screen.getByRole('button', { name: 'Keep as written' }))
    await waitFor(() => expect(document.activeElement).toBe(number))
    expect(saidOf(number)).toContain('The number just as it stood there.')
    expect(testShop().sent).toEqual([])
    fireEvent.change(screen.getByLabelText('The number, as written'), { target: { value: '34 or 35' } })
    fireEvent.click(screen.getByRole('button', { name: 'Keep as written' }))
    await screen.findByText('“length” 34 or 35')
    await waitFor(() => expect(testShop().sent).toHaveLength(1))
    expect(testShop().sent[0]?.body).toMatchObject({ letters: 'length', asWritten: '34 or 35', came: 'mail', wanted: null, by: 'Ylva' })
  })

  it('X21 of a whole letter are kept line by line as they stood, and Enter goes back to the first field', async () => {
    renderStage(aTicket(), 'letters', <LettersPage />)
    fireEvent.change(await screen.findByLabelText(/A word or letter and its number/), {
      target: { value: 'A 34\nB: 13 1/2 in\nA–C = 61\nhello there\nneck 41 cm' },
    })
    expect(screen.getByText('Without a number, left out: hello there.')).toBeDefined()
    fireEvent.click(screen.getByRole('button', { name: 'Keep 4 numbers' }))
    await waitFor(() => expect(testShop().sent).toHaveLength(4))
    expect(testShop().sent.map((each) => each.body)).toMatchObject([
      { letters: 'A', asWritten: '34' },
      { letters: 'B', asWritten: '13 1/2 in' },
      { letters: 'A–C', asWritten: '61' },
      { letters: 'neck', asWritten: '41 cm' },
    ])
    const first = screen.getByLabelText('Their letter or word')
    fireEvent.change(first, { target: { value: 'F' } })
    fireEvent.change(screen.getByLabelText('The number, as written'), { target: { value: '9' } })
    fireEvent.submit(first)
    await waitFor(() => expect(document.activeElement).toBe(first))
  })

  it('left half typed are there again, until they are kept', async () => {
    const sheet = aTicket()
    renderStage(sheet, 'letters', <LettersPage />)
    fireEvent.change(await screen.findByLabelText('Their letter or word'), { target: { value: 'girth' } })
    cleanup()
    renderStage(sheet, 'letters', <LettersPage />)
    const letters = await screen.findByLabelText<HTMLInputElement>('Their letter or word')
    expect(letters.value).toBe('girth')
    fireEvent.change(screen.getByLabelText('The number, as written'), { target: { value: '27' } })
    fireEvent.click(screen.getByRole('button', { name: 'Keep as written' }))
    await screen.findByText('“girth” 27')
    await waitFor(() => expect(letters.value).toBe(''))
    cleanup()
    renderStage(sheet, 'letters', <LettersPage />)
    expect((await screen.findByLabelText<HTMLInputElement>('Their letter or word')).value).toBe('')
  })

  it('U60 are said to go in where the fields stand, wide and on a phone', async () => {
    renderStage(aTicket(), 'letters', <LettersPage />)
    const words = (await screen.findByText(/^Nothing came by mail or phone/)).textContent
    expect(words).toContain('beside this list, above it on a phone')
    expect(document.body.textContent).not.toMatch(/(?:at|on|to) the (?:left|right)\b/)
  })

  it('C18 stay where they were typed until they are known to be kept', async () => {
    testShop().answers['PUT'] = () => Response.json({ code: 'bad-input', detail: 'No.', issues: [] }, { status: 400 })
    renderStage(aTicket(), 'letters', <LettersPage />)
    fireEvent.change(await screen.findByLabelText('Their letter or word'), { target: { value: 'length' } })
    fireEvent.change(screen.getByLabelText('The number, as written'), { target: { value: '34 or 35' } })
    fireEvent.click(screen.getByRole('button', { name: 'Keep as written' }))
    expect((await screen.findByText(/^Not kept\./)).textContent).toContain('What you typed stays.')
    expect(screen.getByLabelText<HTMLInputElement>('Their letter or word').value).toBe('length')
    expect(screen.getByLabelText<HTMLInputElement>('The number, as written').value).toBe('34 or 35')
  })

  it('become a reading when the sender answers, with where it came from', async () => {
    renderStage(aTicket({ asWritten: [written('B', '36')] }), 'letters', <LettersPage />)
    fireEvent.click(await screen.findByRole('button', { name: 'They answered' }))
    fireEvent.change(screen.getByLabelText('The number, read'), { target: { value: 'about 36 cm' } })
    fireEvent.click(screen.getByRole('button', { name: 'Take it as a reading' }))
    expect((await screen.findByRole('alert')).textContent).toContain('Can’t read that')
    // X02: no unit in the letter is no unit; both are shown, none is preset.
    fireEvent.change(screen.getByLabelText('The number, read'), { target: { value: '36' } })
    await screen.findByText('As inches it is 91.4 cm; as centimetres 14 1/8 in.')
    fireEvent.click(screen.getByRole('button', { name: 'Take it as a reading' }))
    expect((await screen.findByRole('alert')).textContent).toContain('Inches or centimetres?')
    expect(testShop().sent).toEqual([])
    fireEvent.click(screen.getByRole('radio', { name: 'Centimetres' }))
    fireEvent.click(screen.getByRole('button', { name: 'Take it as a reading' }))
    await screen.findByText(/became back length/)
    await waitFor(() => expect(testShop().sent).toHaveLength(2))
    expect(testShop().sent.map((each) => each.path.split('/')[3])).toEqual(['readings', 'as-written'])
    expect(testShop().sent[0]?.body).toMatchObject({ measure: 'M14', mm: 360, remark: 'Came as “B”, answered by the sender' })
  })

  it('X03 ask of a neck whether it was one side, with nothing preset', async () => {
    renderStage(aTicket({ asWritten: [{ ...written('neck', '28 cm'), wanted: 'M01' as const }] }), 'letters', <LettersPage />)
    fireEvent.click(await screen.findByRole('button', { name: 'They answered' }))
    expect(screen.getByRole('radio', { name: 'Full' }).getAttribute('aria-checked')).toBe('false')
    fireEvent.click(screen.getByRole('button', { name: 'Take it as a reading' }))
    expect((await screen.findByRole('alert')).textContent).toContain('One side, or all round?')
    fireEvent.click(screen.getByRole('radio', { name: 'One side' }))
    fireEvent.click(screen.getByRole('button', { name: 'Take it as a reading' }))
    await waitFor(() => expect(testShop().sent[0]?.body).toMatchObject({ measure: 'M01', mm: 280, side: 'one' }))
  })

  it('say everything an answer lacks at once, each at its own field, and lose nothing typed', async () => {
    renderStage(aTicket({ asWritten: [{ ...written('neck', '28'), wanted: null }] }), 'letters', <LettersPage />)
    fireEvent.click(await screen.findByRole('button', { name: 'They answered' }))
    const number = screen.getByLabelText<HTMLInputElement>('The number, read')
    fireEvent.change(number, { target: { value: 'twenty' } })
    fireEvent.click(screen.getByRole('button', { name: 'Take it as a reading' }))
    await waitFor(() => expect(saidOf(screen.getByRole('combobox', { name: 'The measure it is' }))).toContain('They must say.'))
    expect(saidOf(screen.getByRole('radiogroup', { name: 'Unit of the number' }))).toContain('Inches or centimetres?')
    expect(saidOf(number)).toContain('Can’t read that')
    expect(number.value).toBe('twenty')
    expect(testShop().sent).toEqual([])
    // The cursor goes to what is typed wrong, and stays on what is chosen when its problem goes.
    expect(document.activeElement).toBe(number)
    const centimetres = screen.getByRole('radio', { name: 'Centimetres' })
    centimetres.focus()
    fireEvent.click(centimetres)
    await waitFor(() => expect(saidOf(screen.getByRole('radiogroup', { name: 'Unit of the number' }))).toBe(''))
    expect(document.activeElement).toBe(centimetres)
  })

  it('are struck when nobody answers', async () => {
    renderStage(aTicket({ asWritten: [written('B', '36')] }), 'letters', <LettersPage />)
    fireEvent.click(await screen.findByRole('button', { name: 'Strike out' }))
    await screen.findByText(/struck out .* by Ylva/)
    expect(screen.queryByRole('button', { name: 'They answered' })).toBeNull()
  })

  it('wait again when the reading they became is taken back', () => {
    const reading = aReading('M14', 360)
    const answered = { ...written('B', '36'), became: { readingId: reading.id, at: AT, by: '' } }
    expect(isOpen(answered, [reading])).toBe(false)
    expect(isOpen(answered, [{ ...reading, struck: { why: 'x', at: AT, by: '' } }])).toBe(true)
    expect(isOpen({ ...answered, struck: { why: 'x', at: AT, by: '' } }, [reading])).toBe(false)
  })

  it('are asked back about on a page with the drawn path of each measure wanted', async () => {
    renderStage(aTicket({ items: [anItem({ family: 'C1', way: 'made' })], asWritten: [written('B', '36')] }), 'ask-back', <AskBack />)
    const page = await screen.findByRole('region', { name: 'Ask-back page, Tern' })
    expect(within(page).getByRole('cell', { name: '“B”' })).toBeDefined()
    const drawn = within(page)
      .getAllByRole('row')
      .filter((row) => row.querySelector('svg'))
    // X19: every line a bare letter may mean, numbered, whatever somebody guessed; then the tapes a rug wants.
    const names = drawn.map((row) => row.textContent)
    expect(names.map((text) => text.slice(0, 2))).toEqual(names.map((_, n) => `${n + 1}.`))
    for (const name of ['Back length', 'Back length from neck base', 'Overall pulling length', 'Rib to tail', 'Half drop of rug', 'Front shoulder to shoulder'])
      expect(names.some((text) => text.includes(name))).toBe(true)
  })
})
