/** Pieces on cloth: how to lay outlines so that little cloth is used. */
export { nestPieces, type ClothWidth, type Nest, type NestBudget, type PlacedPiece } from './nest-pieces.ts'
export { nestItems, type NestItem } from './nest-shapes.ts'
export { noFitPolygon } from './no-fit.ts'
