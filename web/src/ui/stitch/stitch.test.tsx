import { stages, type Stage, type StageState } from '@merry-tailor/core'
import { cleanup, render, screen } from '@testing-library/react'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { afterEach, describe, expect, it } from 'vitest'
import { stageName } from '../../words/stages'
import { MiniStitch } from './MiniStitch'
import { RunningStitch } from '../../said/RunningStitch'

afterEach(cleanup)

const STATES: readonly StageState[] = ['done', 'trouble', 'open', 'open', 'open']
const listed = stages.map((stage, i) => ({ stage, state: STATES[i] ?? 'open', to: `/tickets/t/${stage}` }))

const sewn = (current: Stage): void => {
  render(<RouterProvider router={createMemoryRouter([{ path: '*', element: <RunningStitch stages={listed} current={current} /> }])} />)
}

describe('the running stitch', () => {
  it('has every stage as a link, in the order of the work, the one at hand named so', () => {
    sewn('choose')
    const links = screen.getAllByRole('link')
    expect(links.map((link) => link.getAttribute('href'))).toEqual(stages.map((stage) => `/tickets/t/${stage}`))
    expect(links.filter((link) => link.getAttribute('aria-current') === 'step').map((link) => link.textContent)).toEqual([stageName('choose')])
  })

  it('says in words what its points say by shape', () => {
    sewn('choose')
    expect(screen.getByRole('link', { name: new RegExp(`^${stageName('ask')}.*done`) })).toBeDefined()
    expect(screen.getByRole('link', { name: /something doesn’t hold/ }).getAttribute('href')).toContain('measure')
    expect(document.querySelector('svg')?.getAttribute('aria-hidden')).toBe('true')
  })

  it('sews one thread between two points, and one at a time is being sewn', () => {
    sewn('measure')
    expect(document.querySelectorAll('.sew')).toHaveLength(1)
    cleanup()
    // At the last stage there is nothing more to sew.
    sewn('finish')
    expect(document.querySelectorAll('.sew')).toHaveLength(0)
  })
})

describe('the stitch in a row', () => {
  const shape = (current: Stage, on: 'paper' | 'cloth' = 'paper') => {
    const { container } = render(<MiniStitch states={listed} current={current} on={on} />)
    return container
  }

  it('draws a point to a stage and tells done, trouble, now and open apart by shape, not by colour alone', () => {
    const groups = [...shape('choose').querySelectorAll('svg > g')]
    expect(groups).toHaveLength(stages.length)
    // Circles and paths, and whether the circles lie one in the other or side by side.
    const outlines = groups.map((group) => {
      const circles = [...group.querySelectorAll('circle')].map((each) => each.getAttribute('cx'))
      return `${[...group.children].map((child) => child.tagName).join(' ')} ${new Set(circles).size}`
    })
    expect(new Set(outlines.slice(0, 4)).size).toBe(4)
    expect(outlines[3]).toBe(outlines[4])
  })

  it('shows trouble even at the stage at hand', () => {
    const here = [...shape('measure').querySelectorAll('svg > g')].map((group) => group.children.length)
    cleanup()
    const elsewhere = [...shape('ask').querySelectorAll('svg > g')].map((group) => group.children.length)
    expect(here[1]).toBe(elsewhere[1])
  })

  it('wears other colours on cloth than on paper', () => {
    const colours = (node: Element) => [...node.querySelectorAll('[stroke]')].map((each) => each.getAttribute('stroke'))
    const paper = colours(shape('choose'))
    cleanup()
    const cloth = colours(shape('choose', 'cloth'))
    expect(cloth).not.toEqual(paper)
    expect(cloth.every((colour) => colour === 'none' || colour?.startsWith('var(--'))).toBe(true)
  })
})
