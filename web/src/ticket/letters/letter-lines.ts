export interface LetterLine {
  letters: string
  asWritten: string
}

/** From the first number that is not part of a word on; what stands before it is what they call it. */
const LINE = /^\s*(.+?)[\s:=.)\u2013\u2014-]+(\d.*?)\s*$/u

/**
 * A letter's lines, each a word or letter and its number, exactly as they stood: `A: 34`, `neck 13 1/2 in`, `A\u2013C = 61`.
 * Lines without a number are left out and said.
 */
export function letterLines(text: string): { lines: LetterLine[]; left: string[] } {
  const lines: LetterLine[] = []
  const left: string[] = []
  for (const line of text.split(/\r?\n|;|\t(?=\D)/)) {
    if (line.trim() === '') continue
    const [, letters, asWritten] = LINE.exec(line.replace(/\t/g, ' ')) ?? []
    if (letters && asWritten) lines.push({ letters: letters.trim().slice(0, 60), asWritten: asWritten.slice(0, 60) })
    else left.push(line.trim())
  }
  return { lines, left }
}
