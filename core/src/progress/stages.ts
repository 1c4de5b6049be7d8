/** The way of a ticket, in the order the work flows. */
export const stages = ['ask', 'measure', 'choose', 'try-on', 'finish'] as const
export type Stage = (typeof stages)[number]
export type StageState = 'done' | 'trouble' | 'open'
