import { CHOICES_BESIDE, type Choice, type ChoiceOf, type SetUp, type Strike, type WornChoice } from '../model/index.ts'

/**
 * The newest of the choices or rounds of an item: the one the server took last and nobody took back, whatever a device's
 * clock says.
 */
export const newestFor = <T extends { itemId: string; struck?: Strike | undefined }>(list: readonly T[], itemId: string): T | undefined =>
  list.findLast((each) => each.itemId === itemId && !each.struck)

/** What an item was last settled to be: a locked set-up and a garment's plan stand beside it and replace no size. */
export const wornFor = (choices: readonly Choice[], itemId: string): WornChoice | undefined =>
  newestFor(
    choices.filter((each): each is WornChoice => !CHOICES_BESIDE.some((kind) => kind === each.kind)),
    itemId,
  )

/** What an item draws, as it was locked last and not taken back; `undefined` where nothing is. */
export function lockedSetUp({ choices, setUps }: { choices: readonly Choice[]; setUps: readonly SetUp[] }, itemId: string): SetUp | undefined {
  const chosen = newestFor(
    choices.filter((each): each is ChoiceOf<'set-up'> => each.kind === 'set-up'),
    itemId,
  )
  return chosen && setUps.find(({ id, struck }) => id === chosen.setUpId && !struck)
}

/** How an item is cut or knitted, as it was kept last and not taken back; `undefined` where nothing is. */
export const keptPattern = (choices: readonly Choice[], itemId: string): ChoiceOf<'pattern'> | undefined =>
  newestFor(
    choices.filter((each): each is ChoiceOf<'pattern'> => each.kind === 'pattern'),
    itemId,
  )
