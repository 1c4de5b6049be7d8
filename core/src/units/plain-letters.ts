/** Letters without marks, small: so that `muns` finds the one with the umlaut. */
export const plainLetters = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase()
