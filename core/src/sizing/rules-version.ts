/**
 * Raised whenever a rule's result changes for the same tapes and the same table, so that a prediction kept with a choice
 * can be told from what the rules would say today.
 *
 * 2: strings on the form's skin are its tapes, so guesses moved by up to 0.3 %; sizes are judged with the measurers' own errors.
 */
export const RULES_VERSION = 2
