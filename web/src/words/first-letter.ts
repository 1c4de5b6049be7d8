/** Words put inside a sentence. */
export const lowerFirst = (words: string): string => `${words.charAt(0).toLowerCase()}${words.slice(1)}`

/** Words that begin a sentence. */
export const upperFirst = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`
