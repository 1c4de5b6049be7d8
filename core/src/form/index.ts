/** The dog's figure: a few proportions that follow the readings. Numbers only; the interface draws. */
export { figure, type Figure, type FigureAbout, type FigurePart } from './figure.ts'
export { buildTypes, type BuildType } from './build-types.ts'
