import type { DogStory, ReadingStory, TicketStory } from './stories.ts'

/** Spinnaker, two years of tapes: from a pup of eleven weeks to a grown team dog. Invented, as is every number. */
interface VisitStory {
  daysAgo: number
  kg: string
  /** Half neck, sternum, girth, overall, back, each as typed the first and the second time; cm. */
  M01: [string, string]
  M06: [string, string]
  M07: [string, string]
  M13: [string, string]
  M14: [string, string]
  by?: 'Orrin'
}

const visits: readonly VisitStory[] = [
  { daysAgo: 730, kg: '6,7', M01: ['16,8', '16,9'], M06: ['17,2', '17,3'], M07: ['41,3', '41,6'], M13: ['38,9', '39,1'], M14: ['30,6', '30,4'] },
  { daysAgo: 641, kg: '12,4', M01: ['21,3', '21,4'], M06: ['21,9', '21,8'], M07: ['52,6', '52,9'], M13: ['49,6', '49,8'], M14: ['39,7', '39,9'], by: 'Orrin' },
  { daysAgo: 540, kg: '17,9', M01: ['24,8', '24,7'], M06: ['25,7', '25,9'], M07: ['60,4', '60,7'], M13: ['58,7', '58,4'], M14: ['46,9', '47,1'] },
  { daysAgo: 452, kg: '20,6', M01: ['26,1', '26,3'], M06: ['27,6', '27,4'], M07: ['63,7', '63,4'], M13: ['62,3', '62,6'], M14: ['49,8', '49,7'] },
  { daysAgo: 366, kg: '22,1', M01: ['26,7', '26,8'], M06: ['28,4', '28,6'], M07: ['65,9', '66,2'], M13: ['64,2', '64,4'], M14: ['51,4', '51,6'], by: 'Orrin' },
  { daysAgo: 271, kg: '22,7', M01: ['27,2', '27,1'], M06: ['28,8', '28,7'], M07: ['66,8', '67,1'], M13: ['65,1', '65,3'], M14: ['52,2', '52,1'] },
  { daysAgo: 182, kg: '23,3', M01: ['27,4', '27,6'], M06: ['28,9', '29,1'], M07: ['67,4', '67,2'], M13: ['65,3', '65,6'], M14: ['52,3', '52,4'] },
  { daysAgo: 96, kg: '22,9', M01: ['27,5', '27,4'], M06: ['29,2', '29,1'], M07: ['66,9', '67,3'], M13: ['65,2', '65,4'], M14: ['52,4', '52,6'], by: 'Orrin' },
]

const MEASURES = ['M01', 'M06', 'M07', 'M13', 'M14'] as const

const readingsOf = (visit: VisitStory): ReadingStory[] => [
  { measure: 'M00', typed: `${visit.kg} kg`, with: { method: 'scale' } },
  ...[0, 1].flatMap((round) =>
    MEASURES.map((measure): ReadingStory => ({
      measure,
      typed: `${visit[measure][round] ?? ''} cm`,
      ...(measure === 'M01' ? { one: true } : {}),
      ...(visit.by ? { by: visit.by } : {}),
      with: { heldBy: visit.by ? 'Ylva' : 'Orrin', coat: visit.daysAgo % 365 < 120 ? 'winter' : 'dry' },
    })),
  ),
]

const dog: DogStory = {
  key: 'spinnaker',
  name: 'Spinnaker',
  owner: 'signe',
  breed: 'Fennar racing cross',
  sex: 'female',
  ageDays: 808,
  weightKg: 24.9,
  coat: 'short-double',
  flatFace: false,
  notes: 'Swing place. Measured every season since she was a pup.',
}

const closed = { closed: true, unit: 'cm', activities: ['sled-team'] } as const satisfies Partial<TicketStory>

const tickets: TicketStory[] = [
  ...visits.map((visit): TicketStory => ({
    dog: 'spinnaker',
    clock: '10:30',
    ...closed,
    activities: visit.daysAgo > 400 ? ['stroll'] : ['sled-team'],
    daysAgo: visit.daysAgo,
    items: [{ family: visit.daysAgo > 400 ? 'H01' : 'H11', way: 'stock' }],
    readings: readingsOf(visit),
  })),
  // Weighed alone since: the tapes of summer may no longer hold.
  {
    dog: 'spinnaker',
    clock: '17:05',
    ...closed,
    activities: [],
    daysAgo: 3,
    items: [],
    readings: [{ measure: 'M00', typed: '24,9 kg', with: { method: 'scale' } }],
  },
]

export const spinnaker = { dog, tickets }
