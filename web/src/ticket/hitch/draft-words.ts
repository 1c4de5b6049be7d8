import { formatWeight, type Rig } from '@merry-tailor/core'
import type { DraftNow } from './draft-now'
import { RIG_NAMES } from '../../rigs'

/** What matters of a set-up, at arm’s length. */
export function headline(now: DraftNow, rig: Rig, name: string, kg: (newton: number) => string): string {
  if (!now.balance) return `${rig.name} pulls like ${kg(now.pullN[1])}`
  const [, { shaftN, bellyBandN }] = now.balance
  const up = now.tips?.upPercent
  const lifts = up === null || up === undefined ? '' : up === 0 ? '' : `; climbing ${Math.round(up)} in a hundred they lift`
  return shaftN < 0 ? `Shafts lift: the belly band holds ${kg(bellyBandN)}` : `Shafts rest ${kg(shaftN)} on ${name}${lifts}`
}

/** The rest of it. */
export function secondLine(now: DraftNow, kg: (newton: number) => string, name: string): string {
  const found = now.balance?.[1]
  if (!found) return ''
  if (found.holdBackN > 0) return `${name} holds back ${kg(found.holdBackN)}: brake it, or lead it down.`
  return `All that presses on ${name}: ${kg(found.onDogN)}.${!now.tips?.downPercent ? '' : ` Going down ${Math.round(now.tips.downPercent)} in a hundred the shafts lift too.`}`
}

/** A rig in one line of its numbers. */
export function rigWords(rig: Rig, say: (mm: number) => string, unit: 'kg' | 'lb'): string {
  const shafts = rig.shafts ? ` Shafts ${say(rig.shafts.thickMm)} thick, stops ${say(rig.shafts.stopMm)}.` : ''
  return `${RIG_NAMES[rig.kind]}, ${formatWeight(rig.massKg, unit)}, track ${say(rig.trackMm)}.${shafts} Bar ${say(rig.bar.widthMm)}, ${rig.bar.swings ? 'swings' : 'fixed'}.${rig.brake ? ' It has a brake.' : ''}`
}
