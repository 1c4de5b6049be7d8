/** Letters without marks, small: so that `muns` finds the one with the umlaut. */
export const plainLetters = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase()

/** A name as it is looked for: case, accents and stray spaces make no other name. */
export const foldedName = (text: string): string => plainLetters(text).trim().replaceAll(/\s+/g, ' ')
