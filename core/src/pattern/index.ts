/** Flat pieces of cloth: laid out from a body's shape, with edges, seams, allowances and cut lines. It knows no dogs. */
export { flattenPatch, type FlatCut, type FlatPatch, type FlattenOptions, type GridPlace } from './flatten-patch.ts'
export { cutLine, type CutEdge } from './cut-line.ts'
export { bezierPoints, bezierThrough, type Bezier } from './bezier.ts'
export {
  edgeLength, edgeNamed, edgeOf, opened, pieceCutLine, sewLine, type Dart, type EdgeKind, type Notch, type PatternPiece, type PieceEdge,
} from './pattern-piece.ts' // prettier-ignore
export { movedEdge, movedPieces, type EdgeMove } from './moved-edge.ts'
export { walkSeams, type Seam, type WalkedSeam } from './walk-seams.ts'
export { flatAlong, flatArea, flatAway, flatBox, flatDistance, flatLength, flatMiddle, type FlatBox, type ClothPoint, type PatternPoint } from './flat-point.ts'
export { rectangle } from './rectangle.ts'
export { smoothLine } from './smooth-line.ts'
