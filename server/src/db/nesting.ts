/**
 * Is a document's nesting such as ours are? Counted over the raw bytes before anything is parsed: each bracket costs
 * the reader some fifty bytes, so a file of nothing but brackets would take all memory.
 *
 * @param deepest levels allowed
 */
export function isSoundJson(bytes: Uint8Array, deepest = 64): boolean {
  let depth = 0
  let opened = 0
  let inText = false
  for (let i = 0; i < bytes.length; i++) {
    const byte = bytes[i]
    if (inText) {
      if (byte === 0x5c) i += 1
      else if (byte === 0x22) inText = false
    } else if (byte === 0x22) inText = true
    else if (byte === 0x5b || byte === 0x7b) {
      opened += 1
      depth += 1
      if (depth > deepest) return false
    } else if (byte === 0x5d || byte === 0x7d) depth -= 1
  }
  // A record of ours is far longer than its brackets.
  return opened <= bytes.length / 6 + 1000
}
