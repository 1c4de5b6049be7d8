import { PRE_DRIVE, type CarQuestion } from '@merry-tailor/core'
import type { Posture } from './seat-now'

export type PreDriveCode = (typeof PRE_DRIVE)[number]['code']

/** What is known of this dog in its seat, as it is kept on this device. */
export interface SeatState {
  carId: string
  seatAt: number
  posture: Posture
  slackMm: number
  tetherOn: boolean
  crashed: boolean
  held: CarQuestion['held']
  claim: string
  frontRingMm: number | null
  backRingMm: number | null
  airC: number
  pulseId: string
  /** By which mass; `null`: the dog’s own. */
  massKg: number | null
  /** Lines of the pre-drive list that were seen. */
  seen: PreDriveCode[]
  /** The day they were seen: another day’s drive is looked at anew. */
  seenOn: string
}

export const FRESH: SeatState = {
  carId: '', seatAt: 0, posture: 'sitting', slackMm: 60, tetherOn: false, crashed: false, held: 'loop', claim: '', frontRingMm: null, backRingMm: null, airC: 22, pulseId: 'us-child-sled', massKg: null,
  seen: [], seenOn: '',
} // prettier-ignore
export const isSeatState = (kept: unknown): kept is SeatState =>
  typeof kept === 'object' && kept !== null && 'posture' in kept && 'seen' in kept && 'slackMm' in kept
