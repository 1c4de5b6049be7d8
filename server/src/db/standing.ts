/** SQL: not taken back; the newest mark on it, if any, restores it. */
export const standing = (id: string): string =>
  `COALESCE((SELECT marks.kind FROM marks WHERE marks.about = ${id} ORDER BY marks.seq DESC LIMIT 1), 'restored') = 'restored'`
