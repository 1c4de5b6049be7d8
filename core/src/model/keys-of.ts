/** The keys of a record by their own type: what was put in under an ID comes out under one. */
export const keysOf = <K extends string>(record: Readonly<Partial<Record<K, unknown>>>): K[] => Object.keys(record) as K[]
