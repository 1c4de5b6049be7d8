import type { RouteObject } from 'react-router'
import { lazyRoom } from '../state/lazy-room'

/** Every dog, one dog, and dogs brought in. */
export const dogs: RouteObject[] = [
  { path: '/dogs', lazy: lazyRoom(() => import('./DogsPage'), 'DogsPage') },
  { path: '/dogs/bring-in', lazy: lazyRoom(() => import('./BringIn'), 'BringIn') },
  { path: '/dogs/:dogId', lazy: lazyRoom(() => import('./DogPage'), 'DogPage') },
  { path: '/dogs/:dogId/ladder', lazy: lazyRoom(() => import('./LadderCard'), 'LadderCard') },
]

export { DogFinder, MoreDogs } from './DogFinder'
export { useDogFinder } from './use-dog-finder'
