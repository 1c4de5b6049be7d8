/**
 * What to lay out or order for four paws: `2 Whelk, 2 Mussel.`, and what is still open.
 *
 * @param order label and count, as the table lists them
 * @param missing paws not read yet
 */
export function bootOrderWords(order: readonly (readonly [label: string, count: number])[], missing: number): string {
  const counted = order.map(([label, count]) => `${count} ${label}`).join(', ')
  if (counted === '') return 'No paw is read yet. Trace each with the dog’s weight on it.'
  const open = missing === 0 ? '' : missing === 1 ? ' One paw is not read: it may differ.' : ` ${missing} paws are not read: they may differ.`
  return `${counted}.${open}`
}
