/** A tag's place on a mat, px. */
export interface TagBox {
  x: number
  y: number
  width: number
  height: number
  /** Over the dog; else beside it. */
  over: boolean
  /** Nothing stands between it and the dog. */
  clear: boolean
}

/** Tags over a dog, a column of rows after another from the left; the lowest of each column is clear. */
export const boxesOver = (count: number, rows: number, { width, height, gap }: { width: number; height: number; gap: number }): TagBox[] =>
  Array.from({ length: count }, (_, i) => ({
    x: gap + Math.floor(i / rows) * (width + gap),
    y: gap + (i % rows) * (height + gap),
    width,
    height,
    over: true,
    clear: i % rows === rows - 1 || i === count - 1,
  }))

/** Where a disc's leader starts: at its tag's edge, where nothing stands between. */
export function leaderFrom(disc: { x: number; y: number }, box: TagBox | undefined): { x: number; y: number } | null {
  if (!box?.clear) return null
  const within = (at: number, from: number, to: number): number => Math.min(to, Math.max(from, at))
  return box.over
    ? { x: within(disc.x, box.x + 14, box.x + box.width - 14), y: box.y + box.height }
    : { x: box.x, y: within(disc.y, box.y + 14, box.y + box.height - 14) }
}
