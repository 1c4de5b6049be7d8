import { must, oneOf, type WantedTapes } from '../wanted-tapes.ts'

/** A neck, and a body length to warn by: enough for a stock chart. Source: handbook 3.4, common practice. */
export const stockLength = [...must('M01'), ...oneOf('M13', 'M14')]

/** A whole pulling body: by stock chart, or made to one of the two schools. Source: handbook 3.4, common practice. */
export const fullLength: WantedTapes = {
  stock: stockLength,
  made: { A: must('M01', 'M10', 'M12'), B: must('M01', 'M11', 'M13') },
}
