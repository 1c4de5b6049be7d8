export { rugPieces, type RugPieces } from './rug.ts'
