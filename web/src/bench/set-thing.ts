import { settingsNow, type Setting, type StrapSides, type TryOn } from '@merry-tailor/core'

/** What settings are kept of: a piece of ours keeps its own from ticket to ticket, anything else its item’s. */
export interface SetThing {
  itemId: string
  pieceId: string | null
}

export const settingOf = ({ itemId, pieceId }: SetThing): Setting['of'] => (pieceId === null ? { itemId } : { pieceId })

/** How the straps of a thing stand on this dog; in a round, how they stood when it began. */
export function strapsIn(settings: readonly Setting[], thing: SetThing, dogId: string | null, round?: Pick<TryOn, 'settings'>): Record<string, StrapSides> {
  const own = round ? settings.filter((each) => round.settings.includes(each.id)) : settings
  return { ...settingsNow(own, { itemId: thing.itemId }, dogId), ...(thing.pieceId === null ? {} : settingsNow(own, { pieceId: thing.pieceId }, dogId)) }
}
