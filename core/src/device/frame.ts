import { KG_PER_POUND, LONGEST_MM, MM_PER_UNIT } from '../units/index.ts'

/** `live`: the value as it moves; `squeeze`: the button was pressed, take this one; `battery`: a sign of life. */
export type FrameEvent = 'live' | 'squeeze' | 'battery'

/**
 * One line of a device: `~id|seq|event|value|unit|battery#crc` and a line feed, ASCII. docs/device-protocol.md has it
 * in full.
 */
export interface Frame {
  /** 1 to 8 letters or digits, the device's own. */
  id: string
  /** 0 to 9999, one more with every frame, then 0 again: tells a repeated frame from a new one. */
  seq: number
  event: FrameEvent
  /** As sent, in `unit`. */
  value: number
  unit: 'mm' | 'cm' | 'in' | 'kg' | 'lb'
  /** Per cent left. */
  battery: number
}

export const LETTERS = { live: 'L', squeeze: 'S', battery: 'B' } as const satisfies Record<FrameEvent, string>
/** Longest line a device sends, bytes; what is longer is noise. */
export const LONGEST_FRAME = 64
const HEAVIEST_KG = 150

/**
 * CRC-8 with polynomial x^8 + x^2 + x + 1, start 0, nothing reflected.
 * Source: the CRC-8/SMBUS entry of the catalogue of parametrised CRC algorithms; check value F4 for "123456789" (value
 * from memory).
 */
export function crc8(text: string): number {
  let crc = 0
  for (let i = 0; i < text.length; i++) {
    crc ^= text.charCodeAt(i) & 0xff
    for (let bit = 0; bit < 8; bit++) crc = (crc & 0x80) !== 0 ? ((crc << 1) ^ 0x07) & 0xff : (crc << 1) & 0xff
  }
  return crc
}

/** Writes one frame with its line feed. */
export function writeFrame({ id, seq, event, value, unit, battery }: Frame): string {
  const body = `${id}|${String(seq).padStart(4, '0')}|${LETTERS[event]}|${value.toFixed(unit === 'mm' ? 1 : 3)}|${unit}|${Math.round(battery)}`
  return `~${body}#${crc8(body).toString(16).toUpperCase().padStart(2, '0')}\n`
}

const LINE = /^([A-Za-z0-9]{1,8})\|(\d{4})\|([LSB])\|(\d{1,4}(?:\.\d{1,3})?)\|(mm|cm|in|kg|lb)\|(\d{1,3})#([0-9A-Fa-f]{2})$/
const EVENTS: Readonly<Record<string, FrameEvent>> = { L: 'live', S: 'squeeze', B: 'battery' }

/** Reads the text between `~` and the line end; `null` for anything that is not a whole, true frame within bounds. */
export function frameOf(text: string): Frame | null {
  const found = LINE.exec(text)
  if (!found) return null
  const [, id = '', seq, letter = '', value, unit, battery, crc = ''] = found
  if (crc8(text.slice(0, text.lastIndexOf('#'))) !== Number.parseInt(crc, 16)) return null
  const frame: Frame = { id, seq: Number(seq), event: EVENTS[letter] ?? 'live', value: Number(value), unit: unit as Frame['unit'], battery: Number(battery) }
  const most = frame.unit === 'kg' ? HEAVIEST_KG : frame.unit === 'lb' ? HEAVIEST_KG / KG_PER_POUND : LONGEST_MM / MM_PER_UNIT[frame.unit]
  return frame.value <= most && frame.battery <= 100 ? frame : null
}
