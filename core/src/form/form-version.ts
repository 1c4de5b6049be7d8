/** Raised whenever the same readings give another form: what was drawn of an older one is drawn anew. */
export const FORM_VERSION = 5
