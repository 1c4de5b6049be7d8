import type { Stage } from '@merry-tailor/core'
import type { RouteObject } from 'react-router'
import { allSizes } from './all-sizes'
import { ask } from './ask'
import { choose } from './choose'
import { crate } from './crate'
import { finish } from './finish'
import { hitch } from './hitch'
import { kinds } from './kinds'
import { letters } from './letters'
import { measure } from './measure'
import { cards, order, paper } from './paper'
import { pattern } from './pattern'
import { paws } from './paws'
import { seat } from './seat'
import { solo } from './solo'
import { tryOn } from './try-on'

/** Each stage with the rooms that belong to it; its own comes first. A stage is added by a line here and one in core. */
export const STAGE_ROOMS: Readonly<Record<Stage, readonly RouteObject[]>> = {
  ask,
  measure: [...measure, ...solo, ...paper, ...letters],
  choose: [...choose, ...kinds, ...hitch, ...seat, ...crate, ...paws, ...pattern, ...allSizes, ...order],
  'try-on': [...tryOn, ...cards],
  finish,
}

const OF_ROOM = new Map(Object.entries(STAGE_ROOMS).flatMap(([stage, rooms]) => rooms.map(({ path }) => [path?.split('/')[0], stage as Stage] as const)))

/** The stage an address is in; `undefined` where it is in none. */
export const stageOf = (pathname: string): Stage | undefined =>
  pathname
    .split('/')
    .slice(3)
    .map((part) => OF_ROOM.get(part))
    .find((stage) => stage !== undefined)
