import { acknowledge } from './acknowledge.ts'
import type { Act, ActKind, ActName, ActSheet, Address, Signed } from './act.ts'
import { answer } from './answer.ts'
import { change } from './change.ts'
import { choose } from './choose.ts'
import { hitch } from './hitch.ts'
import { item } from './item.ts'
import { mark } from './mark.ts'
import { observe } from './observe.ts'
import { read } from './read.ts'
import { setUp } from './set-up.ts'
import { set } from './set.ts'
import { symptom } from './symptom.ts'
import { tryOn } from './try-on.ts'
import { writeDown } from './write-down.ts'

/** Every act by its name. */
export const actKinds: { readonly [N in ActName]: ActKind<N> } = {
  read,
  mark,
  acknowledge,
  change,
  'write-down': writeDown,
  answer,
  item,
  choose,
  hitch,
  'set-up': setUp,
  'try-on': tryOn,
  observe,
  symptom,
  set,
}

/** An act's own kind: name and act belong together, which the type of the table can't say. */
const kindOf = (act: Act): ActKind<ActName> => actKinds[act.act] as unknown as ActKind<ActName>

/**
 * Does one act to a ticket's sheet, in place (a draft or a copy of your own). The same act again changes nothing; marks
 * decide in the order in which they arrive.
 */
export const applyAct = (sheet: ActSheet, act: Act): void => kindOf(act).apply(sheet, act)

/** The act that takes `act` back: facts stay and are struck, marks are answered by their opposite, fields go back. */
export const inverseOf = (act: Act, signed: Signed): Act => kindOf(act).inverse(act, signed)

/** The act that does again what its inverse took back. */
export const againOf = (act: Act, signed: Signed): Act => kindOf(act).again(act, signed)

/** Where an act on a ticket is sent, and what is sent. */
export function addressOf(ticketId: string, act: Act): Address {
  const { method, path, body } = kindOf(act).address(act)
  return { method, path: `/tickets/${ticketId}${path}`, body }
}
