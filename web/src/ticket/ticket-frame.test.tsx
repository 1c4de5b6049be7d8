import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { aDog, anItem, aReading, aTicket, renderPage, renderStage, testShop, withTestShop } from '../test/shop'
import { NoItem } from '../bench'
import { useOpenTicket } from '../bench'
import { TicketFrame, TicketStart } from './TicketFrame'

withTestShop()

function Here() {
  const { name, body, progress } = useOpenTicket()
  return (
    <p>
      {name} at {progress.stage}, back {body.M14?.mm ?? 'unknown'}
    </p>
  )
}
const stagesShown = () => within(screen.getByRole('navigation', { name: 'Stages of this ticket' }))

describe('the frame of a ticket', () => {
  it('hands its stage the sheet, the agreed body and the dog’s name', async () => {
    renderStage(aTicket({ readings: [aReading('M14', 588), aReading('M14', 590)] }), 'measure', <Here />)
    expect(await screen.findByText(/^Tern at measure, back 589$/)).toBeDefined()
    expect(document.title).toBe('Tern, Measure · Merry Tailor')
  })

  it('names a dog without a record by where it is', async () => {
    renderStage(aTicket({ dog: null }), 'measure', <Here />)
    expect(await screen.findByText(/^Dog at the counter at/)).toBeDefined()
    expect(screen.getByText('No dog record yet')).toBeDefined()
  })

  it('goes through the stages by bracket keys, no further than either end, and not out of a field', async () => {
    const router = renderStage(aTicket(), 'ask', <Here />)
    await screen.findByText(/Tern at/)
    fireEvent.keyDown(document.body, { key: '[' })
    expect(router.state.location.pathname).toMatch(/\/ask$/)
    fireEvent.keyDown(document.body, { key: ']' })
    await waitFor(() => expect(router.state.location.pathname).toMatch(/\/measure$/))
  })

  it.each([
    ['hitch', 'Choose'],
    ['kinds', 'Choose'],
    ['all-sizes', 'Choose'],
    ['solo', 'Measure'],
    ['letters', 'Measure'],
    ['docket', 'Finish'],
  ])('a room of a stage stands under it: %s under %s', async (room, stage) => {
    renderStage(aTicket(), room, <Here />)
    await screen.findByText(/Tern at/)
    expect(stagesShown().getByRole('link', { current: 'step' }).textContent).toContain(stage)
  })

  it('says that a ticket cannot be opened, and leads back', async () => {
    renderPage('/tickets/0190/measure', '/tickets/:ticketId/measure', <TicketFrame />)
    testShop().answers['GET /tickets/'] = () =>
      new Response(JSON.stringify({ code: 'not-found', detail: 'There is no ticket under this id.' }), { status: 404 })
    const alert = await screen.findByRole('alert')
    expect(alert.textContent).toContain('This ticket can’t be opened.')
    expect(within(alert).getByRole('link', { name: 'Back to Today' }).getAttribute('href')).toBe('/')
  })
})

describe('the stage a ticket opens at', () => {
  it('is the one the work is at', async () => {
    const router = renderStage(aTicket({ items: [anItem()], dog: aDog() }), 'start', <TicketStart />)
    await waitFor(() => expect(router.state.location.pathname).toMatch(/\/(?:ask|measure)$/))
    expect(router.state.location.pathname).not.toContain('start')
  })
})

it('a stage without an item leads to where one is chosen, and may offer another way', async () => {
  renderStage(
    aTicket({ items: [] }),
    'finish',
    <NoItem title="Nothing here yet" also={{ label: 'Measure all of it', onClick: () => undefined }}>
      Choose an item first.
    </NoItem>,
  )
  expect((await screen.findByRole('link', { name: 'Choose an item' })).getAttribute('href')).toMatch(/\/ask$/)
  expect(screen.getByRole('button', { name: 'Measure all of it' })).toBeDefined()
})
