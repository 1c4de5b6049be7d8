import type { SheetPoint } from './view.ts'

/** A printed mark: its middle on the sheet, its side, and whether a round hole is in it. */
export interface FrameMark {
  at: SheetPoint
  sideMm: number
  hole: boolean
}

/**
 * The tracing sheet, mm, y down, its middle the origin: four large squares at the corners, three of them with a hole (the
 * one without says where up is), four small ones between, the toes' arrow on top and a line of 100 mm to lay a rule on.
 * The same on A4 and Letter.
 */
export const TRACING_FRAME = {
  /** Top left first, then clockwise. */
  corners: [
    { at: [-85, -120], sideMm: 14, hole: false },
    { at: [85, -120], sideMm: 14, hole: true },
    { at: [85, 120], sideMm: 14, hole: true },
    { at: [-85, 120], sideMm: 14, hole: true },
  ],
  edges: [
    { at: [0, -120], sideMm: 9, hole: false },
    { at: [85, 0], sideMm: 9, hole: false },
    { at: [0, 120], sideMm: 9, hole: false },
    { at: [-85, 0], sideMm: 9, hole: false },
  ],
  holeMm: 5.2,
  /** Blank, for paws. */
  field: { left: -74, right: 74, top: -92, bottom: 104 },
  arrow: { tip: [0, -113], foot: [0, -98] },
  rule: { from: [-50, 110], to: [50, 110] },
} as const satisfies {
  corners: readonly FrameMark[]
  edges: readonly FrameMark[]
  holeMm: number
  field: { left: number; right: number; top: number; bottom: number }
  arrow: { tip: SheetPoint; foot: SheetPoint }
  rule: { from: SheetPoint; to: SheetPoint }
}

/** A square mark's corners, clockwise from the top left. */
export const markCorners = ({ at: [x, y], sideMm }: FrameMark): [SheetPoint, SheetPoint, SheetPoint, SheetPoint] => {
  const h = sideMm / 2
  return [
    [x - h, y - h],
    [x + h, y - h],
    [x + h, y + h],
    [x - h, y + h],
  ]
}
