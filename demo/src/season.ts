import type { RoundStory, TicketStory } from './stories.ts'

/*
 * What hung on dogs in other seasons: rounds whose predictions were kept, so that the shop can see how often they came
 * true. Invented like all the rest; what was seen follows no dog.
 */
const round = (label: string, after: number): RoundStory => ({ label, after, seen: 'as-foretold' })

const fitting = (dog: string, daysAgo: number, family: 'H11' | 'H01', table: string, labels: readonly string[]): TicketStory => ({
  dog,
  daysAgo,
  clock: '15:10',
  activities: family === 'H11' ? ['sled-team'] : ['stroll'],
  unit: 'cm',
  closed: true,
  items: [{ family, way: 'stock', choice: { table, labels: [labels[0] as string] }, rounds: labels.map((label, i) => round(label, 10 + 12 * i)) }],
  readings: [],
})
const crossBack = (dog: string, daysAgo: number, ...labels: string[]): TicketStory => fitting(dog, daysAgo, 'H11', 'rimefold-cross-back', labels)
const walking = (dog: string, daysAgo: number, ...labels: string[]): TicketStory => fitting(dog, daysAgo, 'H01', 'skerrywright-walking-y', labels)

/** With those of the scenario thirty-four rounds of cross-backs and six of walking harnesses. */
export const season: readonly TicketStory[] = [
  crossBack('lodestar', 401, 'Cedar', 'Elm', 'Cedar'),
  crossBack('oakum', 400, 'Elm', 'Cedar', 'Elm', 'Fir'),
  crossBack('bilberry', 398, 'Cedar', 'Birch', 'Cedar'),
  crossBack('marlin', 397, 'Fir', 'Elm', 'Larch'),
  crossBack('sextant', 395, 'Cedar', 'Elm', 'Fir'),
  crossBack('lodestar', 388, 'Elm', 'Cedar', 'Birch'),
  crossBack('oakum', 386, 'Cedar', 'Elm', 'Cedar'),
  crossBack('bilberry', 381, 'Birch', 'Cedar', 'Elm', 'Cedar'),
  crossBack('marlin', 379, 'Larch', 'Fir', 'Fir'),
  crossBack('sextant', 374, 'Elm', 'Cedar'),
  walking('halyard', 366, 'Heron'),
]
