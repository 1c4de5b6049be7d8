import type { PatternPiece } from '@merry-tailor/core'
import {
  patternDxf, patternPdf, patternSvg, readPatternDxf, readPatternPdf, readPatternSvg, readsBack, type Paper, type PatternLabel,
} from '@merry-tailor/core/formats' // prettier-ignore

export type PatternFile = 'svg' | 'dxf' | 'pdf'
export type MadeFile = { ok: true; bytes: Uint8Array; pages: string[] } | { ok: false }

/** A file of pieces, offered only once it was read back as it was drawn. */
export async function patternFile(kind: PatternFile, pieces: readonly PatternPiece[], paper: Paper, label: PatternLabel): Promise<MadeFile> {
  if (kind === 'pdf') {
    const { bytes, pages } = await patternPdf(pieces, { paper, overlapMm: 12, label })
    return readsBack(pieces, await readPatternPdf(bytes)) ? { ok: true, bytes, pages } : { ok: false }
  }
  const text = kind === 'svg' ? patternSvg(pieces, label) : patternDxf(pieces, label)
  const back = kind === 'svg' ? readPatternSvg(text) : readPatternDxf(text)
  return readsBack(pieces, back) ? { ok: true, bytes: new TextEncoder().encode(text), pages: [] } : { ok: false }
}
