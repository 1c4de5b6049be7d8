/**
 * Raised whenever a rule's result changes for the same tapes and the same table, so that a prediction kept with a choice
 * can be told from what the rules would say today.
 */
export const RULES_VERSION = 1
