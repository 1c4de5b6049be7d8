/** Published tables with their sources. */
export { breeds, type Breed, type BreedRange, type Build } from './breeds.ts'
export { ageInMonths } from './age-in-months.ts'
export { GROWN_MONTHS, grownMonths, stillGrows } from './age.ts'
export { findBreed, suggestBreeds } from './find-breed.ts'
export { crateOfChart } from './crate-chart.ts'
export { growthShare } from './growth-share.ts'
