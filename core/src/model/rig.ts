import { flag, json, resource } from './resource.ts'
import type { Rig } from './rig.schema.ts'

export type { NewRig, Rig, RigFields, RigKind } from './rig.schema.ts'

export const rigs = resource<Rig>({
  name: 'rig',
  table: 'rigs',
  address: '/rigs',
  tags: ['Rigs'],
  columns: {
    id: 'id',
    name: 'name',
    kind: 'kind',
    massKg: 'mass_kg',
    massAheadMm: 'mass_ahead_mm',
    massHeightMm: 'mass_height_mm',
    axleMm: 'axle_mm',
    trackMm: 'track_mm',
    wheelbaseMm: 'wheelbase_mm',
    lockRad: 'lock_rad',
    shafts: json('shafts'),
    hitch: json('hitch'),
    bar: json('bar'),
    bed: json('bed'),
    brake: flag('brake'),
    notes: 'notes',
    createdAt: 'created_at',
  },
  made: 'createdAt',
})
