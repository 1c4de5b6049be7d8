/** The file the open book is kept in was found damaged: what is said, and what to do about it. */
export const DAMAGED_BOOK = {
  title: 'The file the book is kept in is damaged.',
  todo: 'Stop the server and start it again: it makes anew what it can from the records, or names the newest checked copy.',
} as const
