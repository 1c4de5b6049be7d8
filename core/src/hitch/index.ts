/** Where the pull leaves: line angles, elastic lines, the dog's pull point, what belongs between harness and hitch. */
export { bandAt, FAMILIES_AT, hitchLine, lineForBand, USUAL_BANDS, lineBandsOf, type HitchBands, type HitchLine, type HitchQuestion } from './hitch-line.ts'
export { elasticLine, inRow, type ElasticPull, type ElasticQuestion } from './elastic-line.ts'
export { pullPlaceOf, pullPointOf, type PullPoint } from './pull-point.ts'
export { rollingPull, SURFACES, SUSTAINED_PULL, type RollingPull, type RollingQuestion, type Surface } from './rolling-pull.ts'
export { HITCH_DEFAULTS, hitchFor, type HitchDefault, type KitPart } from './hitches.ts'
