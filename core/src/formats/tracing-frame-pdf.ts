import { TRACING_FRAME } from '../paw/index.ts'

/** ISO 216; ASME Y14.1. */
const PAPER = { A4: [210, 297], Letter: [215.9, 279.4] } as const
const PT = 72 / 25.4

/**
 * The tracing sheet on one page, in true scale: no scaling is put into the file, the printer must keep 100 %. Its line of
 * 100 mm says whether it did.
 *
 * @returns the same bytes every time
 */
export async function tracingFramePdf(paper: keyof typeof PAPER): Promise<Uint8Array> {
  const { PDFDocument, StandardFonts, grayscale } = await import('pdf-lib')
  const doc = await PDFDocument.create()
  const then = new Date(0)
  doc.setCreationDate(then)
  doc.setModificationDate(then)
  const [wide, high] = PAPER[paper]
  const page = doc.addPage([wide * PT, high * PT])
  const font = await doc.embedFont(StandardFonts.Helvetica)
  /** The sheet's middle is the page's; y goes up on paper. */
  const x = (mm: number): number => (wide / 2 + mm) * PT
  const y = (mm: number): number => (high / 2 - mm) * PT
  const line = (from: readonly [number, number], to: readonly [number, number], thickMm: number): void =>
    page.drawLine({ start: { x: x(from[0]), y: y(from[1]) }, end: { x: x(to[0]), y: y(to[1]) }, thickness: thickMm * PT, color: grayscale(0) })
  for (const { at, sideMm, hole } of [...TRACING_FRAME.corners, ...TRACING_FRAME.edges]) {
    page.drawRectangle({ x: x(at[0] - sideMm / 2), y: y(at[1] + sideMm / 2), width: sideMm * PT, height: sideMm * PT, color: grayscale(0) })
    if (hole) page.drawCircle({ x: x(at[0]), y: y(at[1]), size: (TRACING_FRAME.holeMm / 2) * PT, color: grayscale(1) })
  }
  const { arrow, rule } = TRACING_FRAME
  line(arrow.foot, arrow.tip, 0.8)
  line([arrow.tip[0] - 4, arrow.tip[1] + 5], arrow.tip, 0.8)
  line([arrow.tip[0] + 4, arrow.tip[1] + 5], arrow.tip, 0.8)
  line(rule.from, rule.to, 0.4)
  for (const end of [rule.from, rule.to]) line([end[0], end[1] - 2], [end[0], end[1] + 2], 0.4)
  const text = (words: string, at: readonly [number, number], size: number): void =>
    page.drawText(words, { x: x(at[0]), y: y(at[1]), size, font, color: grayscale(0.25) })
  text('Toes this way', [8, -104], 9)
  text('100 mm: lay a rule on it. Print at 100 %, no fitting to the page.', [-50, 117], 8)
  return doc.save({ useObjectStreams: false })
}
