/** Reading and writing documents; no file access. Used by the outside only, by nobody in core. */
export { sizeTableToCsv, sizeTableFromCsv } from './size-table-csv.ts'
export { sizeTableToJson, sizeTableFromJson } from './size-table-json.ts'
export { guessColumns, pathsOf, readPasted, tableFromPasted, type ColumnGuess, type ColumnMeaning, type Pasted, type PastedAbout } from './pasted-table.ts'
export { parseSpan } from './span.ts'
export { guardCell, readCsv, unguardCell, writeCsv, type ReadCsv } from './csv.ts'
export { BodySheet, bodySheetFromCsv, bodySheetFromJson, bodySheetSchema, bodySheetToCsv, bodySheetToJson } from './body-sheet.ts'
export {
  KENNEL_ROWS,
  type KennelAbout,
  KennelDog,
  KennelImport,
  kennelListToCsv,
  kennelTemplate,
  readKennelList,
  type CellProblem,
  type KennelList,
} from './kennel-list.ts'
export { formSheetToCsv, formSheetToJson, sidePlateSvg, type FormSheetHead } from './form-sheet.ts'
export { roundsToCsv, roundsToJson, type RoundsHead } from './rounds-sheet.ts'
export { laySvg, type LaySheetHead } from './lay-sheet.ts'
export { daysToIcs, type IcsDay } from './days-ics.ts'
export { loadSpaceToJson } from './load-space-json.ts'
export { tracingFramePdf } from './tracing-frame-pdf.ts'
export { bootOutingsToCsv, bootsToCsv, tracingsToJson, tracingSvg, type BootRow } from './tracing-sheet.ts'
export { stripPhoto, type StrippedPhoto } from './strip-photo.ts'
export type { ReadDocument, DocumentProblem } from './read-document.ts'
export { piecesFromCsv, piecesToCsv, type PieceFlat } from './piece-flats.ts'
export { rigFromJson, rigToJson } from './rig-sheet.ts'
export { setUpToCsv, type SetUpStrap } from './set-up-sheet.ts'
export { draftSvg, type DraftDrawing } from './draft-sheet.ts'
export { readsBack, type PatternLabel, type ReadPattern, type ReadPiece } from './pattern-sheet.ts'
export { patternSvg, readPatternSvg } from './pattern-svg.ts'
export { patternDxf, readPatternDxf } from './pattern-dxf.ts'
export { patternPdf, readPatternPdf, TEST_SQUARE_MM, type Paper } from './pattern-pdf.ts'
