import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { checksFor, symptomsFor, type FamilyId, type Observation, type TryOn } from '@merry-tailor/core'
import { AT, anItem, aTicket, nextId, renderStage, testShop, withTestShop } from '../../test/shop'
import { TryOnStage } from './TryOnStage'

withTestShop()

const withRound = (over: Partial<TryOn> = {}, family: FamilyId = 'H01') => {
  const item = anItem({ family })
  const round: TryOn = {
    id: nextId(),
    itemId: item.id,
    of: { named: true },
    settings: [],
    label: 'M',
    changed: '',
    at: AT,
    by: 'Ylva',
    observations: [],
    symptoms: [],
    ...over,
  }
  return aTicket({ items: [item], tryOns: [round] })
}
const sent = (part: string) =>
  testShop()
    .sent.filter((each) => each.path.includes(part))
    .map((each) => each.body as Record<string, unknown>)

const named = (name: string): RegExp => new RegExp(`^\\d+ ${name.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&')}:`)
/** The tag of a check in the state that is shown; the one that is open has its answers in place of it. */
const tagOf = (name: string) => screen.findByRole('button', { name: named(name) })
async function open(name: string, state: string): Promise<HTMLElement> {
  const there = screen.queryByRole('group', { name: `${name}, ${state}` })
  if (there) return there
  fireEvent.click(await tagOf(name))
  return screen.findByRole('group', { name: `${name}, ${state}` })
}

describe('Try on', () => {
  it('begins a round with a piece off the rack, and asks for its name', async () => {
    renderStage(aTicket(), 'try-on', <TryOnStage />)
    fireEvent.click(await screen.findByRole('button', { name: /Put it on Tern/ }))
    expect((await screen.findByRole('alert')).textContent).toBe('Name the size that is on the dog.')
    fireEvent.change(screen.getByLabelText('Its name or size'), { target: { value: 'Old blue' } })
    fireEvent.click(screen.getByRole('button', { name: 'Put Old blue on Tern' }))
    await waitFor(() => expect(sent('/try-ons/')[0]).toMatchObject({ label: 'Old blue', of: { named: true }, by: 'Ylva' }))
    expect(await screen.findByRole('heading', { level: 1, name: 'Old blue on Tern' })).toBeDefined()
  })

  it('takes a verdict by word and by fingers, and keeps what can’t be read', async () => {
    renderStage(withRound(), 'try-on', <TryOnStage />)
    await screen.findByRole('heading', { level: 1, name: 'M on Tern' })
    const check = await open('Under every strap', 'slack')
    fireEvent.click(within(check).getByRole('button', { name: 'Holds' }))
    await waitFor(() => expect(sent('/observations/')[0]).toMatchObject({ check: 'under-every-strap', state: 'slack', grade: 'holds', asTyped: '' }))
    // What held needs no more looking: the next nobody saw is open.
    expect(await screen.findByRole('group', { name: 'Does not sway or roll, slack' })).toBeDefined()
    const again = await open('Under every strap', 'slack')
    const fingers = within(again).getByLabelText(/Fingers, flat/)
    const type = (text: string): void => {
      fireEvent.change(fingers, { target: { value: text } })
      fireEvent.blur(fingers)
    }
    type('loose')
    expect((await screen.findByRole('alert')).textContent).toContain('Here fingers count')
    expect((fingers as HTMLInputElement).value).toBe('loose')
    type('0')
    await waitFor(() => expect(sent('/observations/').at(-1)).toMatchObject({ grade: 'fails', fingers: 0, asTyped: '0' }))
    await waitFor(() => expect(within(again).getByRole('button', { name: 'Doesn’t hold' }).getAttribute('aria-pressed')).toBe('true'))
  })

  it('C10 lets a coat end by the fitter’s word, shown as his, and a walking harness only by its checks', async () => {
    renderStage(withRound({}, 'C5'), 'try-on', <TryOnStage />)
    const word = await screen.findByRole('group', { name: 'Your word' })
    fireEvent.click(within(word).getByRole('button', { name: 'Holds' }))
    await waitFor(() => expect(sent('/observations/')[0]).toMatchObject({ check: 'fitters-word', grade: 'holds' }))
    await waitFor(() => expect(within(word).getByRole('button', { name: 'Holds' }).getAttribute('aria-pressed')).toBe('true'))
    expect(screen.getByRole('region', { name: 'Your word on the whole' }).textContent).toContain('not as checks seen')
  })

  it('asks each state for itself: slack says nothing about a pulling harness', async () => {
    renderStage(withRound({}, 'H11'), 'try-on', <TryOnStage />)
    expect(await screen.findByText(/no verdict on its length here/)).toBeDefined()
    fireEvent.keyDown(document.body, { key: 'p' })
    expect(await screen.findByText(/Pull the end straight back by hand/)).toBeDefined()
    expect(await open('Neck snug, hair drawn through', 'pulling')).toBeDefined()
    fireEvent.keyDown(document.body, { key: 'p' })
    expect(await open('Neck snug, hair drawn through', 'slack')).toBeDefined()
  })

  it('points from a failing check to symptoms, and keeps the remedy tried', async () => {
    const seen = { id: nextId(), check: 'sides-equal', state: 'slack', grade: 'fails', asTyped: '', mm: null, fingers: null, at: AT, by: '' } as const
    renderStage(withRound({ observations: [seen] }), 'try-on', <TryOnStage />)
    const aside = await screen.findByRole('complementary', { name: 'Symptoms' })
    // What points to it, and always what means stop.
    const pressed = within(aside)
      .getAllByRole('button')
      .map((each) => each.textContent)
    expect(pressed.filter((text) => text.startsWith('Leans always'))).toHaveLength(1)
    expect(pressed.filter((text) => text.startsWith('Sways'))).toHaveLength(0)
    expect(pressed.some((text) => text.startsWith('Cough'))).toBe(true)
    fireEvent.click(within(aside).getByRole('button', { name: /Leans always/ }))
    await waitFor(() => expect(sent('/symptoms/')[0]).toMatchObject({ symptom: 'S25', present: true, remedy: null }))
    const remedy = await within(aside).findByRole('button', { name: /^1\./ })
    fireEvent.click(remedy)
    await waitFor(() => expect(sent('/symptoms/').at(-1)).toMatchObject({ symptom: 'S25', remedy: 'equalise-left-and-right' }))
    expect((await within(aside).findAllByText('(done)', { exact: false })).length).toBeGreaterThan(0)
    fireEvent.click(within(aside).getByRole('button', { name: /^All \d+ symptoms$/ }))
    expect(within(aside).getAllByRole('listitem').length).toBeGreaterThan(3)
  })

  it('U24 counts what holds and what is still to look at, leads to it, opens at what fails, and then to another size', async () => {
    const pulls = checksFor('H11').filter((check) => check.states.includes('pulling'))
    const answer = (check: string, state: 'pulling' | 'slack', grade: 'holds' | 'fails'): Observation => ({ id: nextId(), check, state, grade, asTyped: '', mm: null, fingers: null, at: AT, by: '' }) // prettier-ignore
    renderStage(withRound({ observations: pulls.map(({ id }) => answer(id, 'pulling', 'holds')) }, 'H11'), 'try-on', <TryOnStage />)
    await screen.findByRole('heading', { level: 1, name: 'M on Tern' })
    const header = screen.getByRole('region', { name: 'Checks' }).querySelector('header')?.textContent
    expect(header).toMatch(new RegExp(`${pulls.length} of \\d+ seen: ${pulls.length} hold`))
    expect(header).not.toContain('Look again')
    cleanup()
    const [symptom, remedy] = symptomsFor('H11').flatMap((each) => each.remedies.filter(({ kind }) => kind === 'resize').map(({ code }) => [each.id, code] as const))[0] ?? ['', ''] // prettier-ignore
    const failing = withRound({ observations: [answer(pulls[0]?.id ?? '', 'pulling', 'fails')], symptoms: [{ id: nextId(), symptom, remedy, present: true, at: AT, by: '' }] }, 'H11') // prettier-ignore
    renderStage(failing, 'try-on', <TryOnStage />)
    expect((await screen.findByRole('radio', { name: /^Pulling/ })).getAttribute('aria-checked')).toBe('true')
    // Of a size that just failed by its size no second round is offered in yellow: another size is.
    fireEvent.change(screen.getByLabelText('Its name or size'), { target: { value: 'M' } })
    expect((await screen.findByRole('link', { name: /^Choose another size/ })).className).toContain('bg-tape')
    expect(screen.getByRole('button', { name: /New round with M/ }).className).not.toMatch(/\bbg-tape\b/)
  })

  it('U25 has tabs only for states its kind is looked at in, and its own checks and symptoms', async () => {
    renderStage(withRound({}, 'H10'), 'try-on', <TryOnStage />)
    await screen.findByRole('heading', { level: 1, name: 'M on Tern' })
    expect(await open('Under every strap', 'slack')).toBeDefined()
    const tabs = screen.getAllByRole('radio', { name: /^(?:Slack|Pulling|Moving)/ }).map((each) => each.textContent)
    expect(tabs).toEqual(['Slack 0/4', 'Pulling 0/1', 'Moving 0/3'])
    fireEvent.click(screen.getByRole('radio', { name: /^Moving/ }))
    expect(await open('Armpit clear in step', 'moving')).toBeDefined()
    // "Neck good, armpit tight" can be told.
    fireEvent.click(screen.getByRole('button', { name: /^All \d+ symptoms$/ }))
    expect(screen.getByRole('complementary', { name: 'Symptoms' }).textContent).toContain('Neck good, armpit tight')
    cleanup()
    renderStage(withRound({}, 'K1'), 'try-on', <TryOnStage />)
    await screen.findByRole('heading', { level: 1, name: 'M on Tern' })
    expect(await open('Turns round', 'slack')).toBeDefined()
    expect(screen.queryByRole('radio', { name: /^(?:Slack|Pulling|Moving|Standing)/ })).toBeNull()
  })

  it('asks of a coat nothing a female has not, and of a car harness one build once it is known', async () => {
    const sheet = withRound({}, 'C4')
    renderStage({ ...sheet, dog: sheet.dog && { ...sheet.dog, sex: 'female' } }, 'try-on', <TryOnStage />)
    await screen.findByRole('heading', { level: 1, name: 'M on Tern' })
    fireEvent.click(screen.getByRole('radio', { name: /^Moving/ }))
    expect(await open('Leg ends off the toes', 'moving')).toBeDefined()
    expect(screen.queryByRole('button', { name: /sheath/ })).toBeNull()
    cleanup()
    renderStage(withRound({}, 'H24'), 'try-on', <TryOnStage />)
    await screen.findByRole('heading', { level: 1, name: 'M on Tern' })
    expect(await tagOf('Tails rolled and secured')).toBeDefined()
    const eight = await open('Eight fingers in front', 'slack')
    fireEvent.click(within(eight).getByRole('button', { name: 'Holds' }))
    await waitFor(() => expect(screen.queryByRole('button', { name: named('Tails rolled and secured') })).toBeNull())
  })

  it('T04 stops at a choke on any harness', async () => {
    const note = () => ({ id: nextId(), symptom: 'S01', remedy: null, present: true, at: AT, by: '' })
    for (const family of ['H21', 'H05', 'H24'] as const) {
      cleanup()
      renderStage(withRound({ symptoms: [note()] }, family), 'try-on', <TryOnStage />)
      expect(await screen.findByText(/Stop and refit now\. If it goes on without gear, ask the vet/)).toBeDefined()
    }
  })

  it('stops at a cough', async () => {
    const note = { id: nextId(), symptom: 'S23', remedy: null, present: true, at: AT, by: '' }
    renderStage(withRound({ symptoms: [note] }), 'try-on', <TryOnStage />)
    expect(await screen.findByText(/Stop and refit now\. If it goes on without gear, ask the vet/)).toBeDefined()
  })

  it('keeps what was changed between rounds', async () => {
    renderStage(withRound(), 'try-on', <TryOnStage />)
    fireEvent.change(await screen.findByLabelText('What was changed since?'), { target: { value: 'Girth out, both sides' } })
    fireEvent.change(screen.getByLabelText('Its name or size'), { target: { value: 'M' } })
    fireEvent.click(screen.getByRole('button', { name: /New round with M/ }))
    await waitFor(() => expect(sent('/try-ons/').at(-1)).toMatchObject({ changed: 'Girth out, both sides', label: 'M' }))
    expect(await screen.findByText('2. M')).toBeDefined()
  })

  it('keeps the answer in its field when it can’t be saved', async () => {
    testShop().answers['PUT /tickets'] = () => new Response(JSON.stringify({ code: 'ticket-closed', detail: 'Ticket 101 is closed.' }), { status: 409 })
    renderStage(withRound(), 'try-on', <TryOnStage />)
    await screen.findByRole('heading', { level: 1, name: 'M on Tern' })
    const check = await open('Under every strap', 'slack')
    const fingers = within(check).getByLabelText(/Fingers, flat/)
    fireEvent.change(fingers, { target: { value: '2' } })
    fireEvent.blur(fingers)
    expect((await screen.findByRole('alert')).textContent).toContain('The answer stays here')
    expect((fingers as HTMLInputElement).value).toBe('2')
  })
})
