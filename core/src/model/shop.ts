import type { Fitter, ShopFields } from './shop.schema.ts'
import { flag, json, resource } from './resource.ts'

export type {
  BootsHere,
  Fitter,
  FitterFields,
  FingerGauge,
  LineBands,
  CarrierRules,
  MeasuredCrate,
  NewFitter,
  RepeatRule,
  ShopFields,
  DisagreementId,
} from './shop.schema.ts'

/** Source: handbook 4.3 and 4.7 program defaults, from memory, unverified. */
export const USUAL_SHOP: ShopFields = {
  name: '',
  address: '',
  greeting: '',
  unit: 'in',
  inchStep: 0.125,
  cmStep: 0.5,
  school: 'both',
  repeat: 'twice',
  largestCounts: true,
  shorterOnDoubt: true,
  toleranceMm: 10,
  toleranceShare: 0.02,
  restSeconds: 180,
  paper: 'A4',
  letterKeys: true,
  views: {},
  lineBands: { wheelBelowDeg: -10, fullToDeg: 5, halfToDeg: 20 },
  timeZone: '',
  copyFolder: '',
  crates: [],
  carriers: [],
  boots: [],
}

/** The shop's own agreements: one row, one document. */
export const shops = resource<{ one: number; fields: Partial<ShopFields> }>({
  name: 'shop',
  table: 'shop',
  key: ['one'],
  address: '/shop',
  tags: ['Shop'],
  columns: { one: 'one', fields: json('fields') },
})

export const fitters = resource<Fitter>({
  name: 'fitter',
  table: 'fitters',
  address: '/fitters',
  tags: ['Fitters'],
  columns: { id: 'id', name: 'name', gauge: json('gauge'), left: flag('left'), createdAt: 'created_at' },
  made: 'createdAt',
  defaults: { gauge: null, left: false },
})
