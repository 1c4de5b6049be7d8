import { cleanup, render, screen } from '@testing-library/react'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { afterEach, expect, it, vi } from 'vitest'
import { lazyRoom } from '../state/lazy-room'
import { RouteProblem } from './RouteProblem'

afterEach(() => {
  cleanup()
  vi.restoreAllMocks()
})

const open = (lazy: () => Promise<{ Component: React.ComponentType }>): void => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
  vi.spyOn(console, 'warn').mockImplementation(() => undefined)
  render(<RouterProvider router={createMemoryRouter([{ path: '/', errorElement: <RouteProblem />, HydrateFallback: () => null, lazy }])} />)
}

it('a room whose page can’t be fetched says so, and can be loaded again', async () => {
  open(lazyRoom(() => Promise.reject<{ Any: React.ComponentType }>(new TypeError('Failed to fetch dynamically imported module')), 'Any'))
  expect(await screen.findByText('This screen could not be fetched.')).not.toBeNull()
  expect(screen.getByRole('button', { name: 'Load it again' })).not.toBeNull()
  expect(screen.queryByText(/Failed to fetch/)).toBeNull()
})

it('a room that breaks says what broke', async () => {
  const Broken = (): never => {
    throw new Error('no such tape')
  }
  open(lazyRoom(() => Promise.resolve({ Broken }), 'Broken'))
  expect(await screen.findByText('This screen broke.')).not.toBeNull()
  expect(screen.getByText(/no such tape/)).not.toBeNull()
})
