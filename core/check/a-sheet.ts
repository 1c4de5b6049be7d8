import { PLAIN_CIRCUMSTANCES } from '../src/index.ts'
import type { BodySheet } from '../src/formats/index.ts'

const id = (n: number): string => `01900000-0000-7000-8000-${n.toString(16).padStart(12, '0')}`

/** A small body sheet: one visit, two readings, one struck, a note. */
export const aSheet = (): BodySheet => ({
  format: 'merry-tailor/body-sheet',
  version: 1,
  dog: {
    id: id(1),
    name: 'Tern',
    breed: 'Siberian Husky',
    crossWith: '',
    sex: 'female',
    born: '2023-05-01',
    ageMonths: null,
    ageSaidOn: null,
    weightKg: 20.4,
    coat: 'thick-double',
    flatFace: false,
    sparing: false,
    notes: 'Leans, "gently"',
    createdAt: '2026-01-01T09:00:00Z',
  },
  owner: { name: 'Owner, of Tern', contact: '' },
  visits: [
    {
      ticketId: id(2),
      openedAt: '2026-01-02T09:00:00Z',
      by: 'Test',
      readings: [
        {
          ...PLAIN_CIRCUMSTANCES,
          id: id(3),
          measure: 'M01',
          mm: 276.4,
          side: 'one',
          asTyped: '10 7/8',
          unit: 'in',
          takenAt: '2026-01-02T09:01:00Z',
          by: 'Test',
        },
        {
          ...PLAIN_CIRCUMSTANCES,
          id: id(4),
          measure: 'M07',
          mm: 702,
          side: 'both',
          asTyped: '70,2 cm',
          unit: 'cm',
          takenAt: '2026-01-02T09:02:00Z',
          by: 'Test',
          coat: 'wet',
        },
      ],
      marks: [{ id: id(5), what: 'reading', about: id(4), kind: 'struck', why: 'wet coat', at: '2026-01-02T09:03:00Z', by: 'Test' }],
    },
  ],
  notes: [{ id: id(6), kind: 'scar', text: 'Left flank', on: '2025-08-01', at: '2026-01-02T09:04:00Z', by: 'Test', over: null }],
})
