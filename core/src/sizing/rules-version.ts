/**
 * Raised whenever a rule's result changes for the same tapes and the same table, so that a prediction kept with a choice
 * can be told from what the rules would say today.
 *
 * 2: strings on the form's skin are its tapes, so guesses moved by up to 0.3 %; sizes are judged with the measurers' own errors.
 * 3: a value between two sizes is advised as one of them or both; a reading far off two that agree stands aside.
 * 4: crates are the smallest a dog can stand, turn and lie in; the girth decides an adjustable neck; tail rules for what
 *    ends at the tail; a size tested for a lighter dog fails; boots go up only where they are long too.
 * 5: a rug goes up for a growing dog alone; where no size is near none is proposed.
 * 6: crates by their clearances: inside less its walls, turning and curling up from the form's plan, ears at worst a doubt.
 */
export const RULES_VERSION = 6
