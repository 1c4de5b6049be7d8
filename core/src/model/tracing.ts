import { flag, json, resource } from './resource.ts'
import type { Tracing } from './tracing.schema.ts'

export type { NewTracing, Tracing } from './tracing.schema.ts'

export const tracings = resource<Tracing>({
  name: 'tracing',
  table: 'tracings',
  address: '/dogs/:dogId/tracings',
  within: { dogId: 'dog_id' },
  tags: ['Dogs', 'Tickets'],
  columns: {
    id: 'id',
    paw: 'paw',
    points: json('points'),
    toesRad: 'toes_rad',
    closedMm: 'closed_mm',
    pencilMm: 'pencil_mm',
    lineRead: flag('line_read'),
    rmsMm: 'rms_mm',
    view: json('view'),
    photoId: 'photo_id',
    nails: 'nails',
    edited: flag('edited'),
    removed: flag('removed'),
    at: 'at',
    by: 'by_whom',
  },
  made: 'at',
  defaults: { removed: false, nails: null },
})
