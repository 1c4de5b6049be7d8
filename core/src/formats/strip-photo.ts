/** A photograph with everything but the picture taken out: no place, no time, no camera, no comment. */
export type StrippedPhoto = { ok: true; type: 'image/jpeg' | 'image/png' | 'image/webp'; bytes: Uint8Array } | { ok: false; problem: 'unknown-kind' | 'broken' }

const ascii = (bytes: Uint8Array, from: number, to: number): string => String.fromCharCode(...bytes.subarray(from, to))
const joined = (parts: readonly Uint8Array[]): Uint8Array => {
  const out = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0))
  let at = 0
  for (const part of parts) {
    out.set(part, at)
    at += part.length
  }
  return out
}

/**
 * JPEG: keeps the frame, tables, scans and the colour segments (APP0, APP14); drops every other APPn (EXIF, XMP, maps)
 * and comments. Anything behind the end of the image goes too.
 * Source: ITU-T T.81, Annex B (values from memory).
 */
function stripJpeg(bytes: Uint8Array): StrippedPhoto {
  const parts = [bytes.subarray(0, 2)]
  let at = 2
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return { ok: false, problem: 'broken' }
    const marker = bytes[at + 1] ?? 0
    if (marker === 0xff) {
      at += 1
      continue
    }
    const length = ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0)
    if (length < 2 || at + 2 + length > bytes.length) return { ok: false, problem: 'broken' }
    const end = at + 2 + length
    const isApp = marker >= 0xe0 && marker <= 0xef
    if (!(isApp && marker !== 0xe0 && marker !== 0xee) && marker !== 0xfe) parts.push(bytes.subarray(at, end))
    at = end
    if (marker === 0xda) {
      // Entropy-coded data: up to the next marker that is neither a stuffed byte nor a restart.
      let scan = at
      while (scan + 1 < bytes.length && !(bytes[scan] === 0xff && bytes[scan + 1] !== 0 && !((bytes[scan + 1] ?? 0) >= 0xd0 && (bytes[scan + 1] ?? 0) <= 0xd7)))
        scan += 1
      parts.push(bytes.subarray(at, scan))
      at = scan
      if (bytes[at] === 0xff && bytes[at + 1] === 0xd9) {
        parts.push(bytes.subarray(at, at + 2))
        return { ok: true, type: 'image/jpeg', bytes: joined(parts) }
      }
    }
  }
  return { ok: false, problem: 'broken' }
}

/** PNG chunks that make the picture; text, time and EXIF chunks are dropped. Source: PNG (W3C), 11.2 and 11.3 (from memory). */
const PNG_KEPT = new Set(['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'gAMA', 'cHRM', 'sRGB', 'sBIT', 'bKGD', 'pHYs'])

function stripPng(bytes: Uint8Array): StrippedPhoto {
  const parts = [bytes.subarray(0, 8)]
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let at = 8
  while (at + 12 <= bytes.length) {
    const end = at + 12 + view.getUint32(at)
    if (end > bytes.length) return { ok: false, problem: 'broken' }
    const name = ascii(bytes, at + 4, at + 8)
    if (PNG_KEPT.has(name)) parts.push(bytes.subarray(at, end))
    if (name === 'IEND') return { ok: true, type: 'image/png', bytes: joined(parts) }
    at = end
  }
  return { ok: false, problem: 'broken' }
}

/** WebP chunks that make the picture; EXIF and XMP are dropped and their flags cleared. Source: WebP container (from memory). */
const WEBP_DROPPED = new Set(['EXIF', 'XMP '])

function stripWebp(bytes: Uint8Array): StrippedPhoto {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const parts: Uint8Array[] = []
  let at = 12
  while (at + 8 <= bytes.length) {
    const size = view.getUint32(at + 4, true)
    const end = at + 8 + size + (size % 2)
    if (at + 8 + size > bytes.length) return { ok: false, problem: 'broken' }
    const name = ascii(bytes, at, at + 4)
    if (!WEBP_DROPPED.has(name)) {
      const chunk = bytes.slice(at, Math.min(end, bytes.length))
      if (name === 'VP8X') chunk[8] = (chunk[8] ?? 0) & ~0x0c
      parts.push(chunk)
    }
    at = end
  }
  if (parts.length === 0) return { ok: false, problem: 'broken' }
  const body = joined(parts)
  const head = bytes.slice(0, 12)
  new DataView(head.buffer).setUint32(4, body.length + 4, true)
  return { ok: true, type: 'image/webp', bytes: joined([head, body]) }
}

/** Takes place, time, camera and comments out of a photograph; the picture itself is not touched. Never throws. */
export function stripPhoto(bytes: Uint8Array): StrippedPhoto {
  if (bytes.length < 20) return { ok: false, problem: 'unknown-kind' }
  if (bytes[0] === 0xff && bytes[1] === 0xd8) return stripJpeg(bytes)
  if (bytes[0] === 0x89 && ascii(bytes, 1, 4) === 'PNG') return stripPng(bytes)
  if (ascii(bytes, 0, 4) === 'RIFF' && ascii(bytes, 8, 12) === 'WEBP') return stripWebp(bytes)
  return { ok: false, problem: 'unknown-kind' }
}
