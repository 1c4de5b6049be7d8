/** The form a round is begun with: a button elsewhere may submit it. */
export const NEW_ROUND = 'new-round'
