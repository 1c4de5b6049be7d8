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

/** A picture wider or higher than this is none of a dog, px. */
const MOST_PX = 12_000
const BROKEN = { ok: false, problem: 'broken' } as const
const tooLarge = (width: number, height: number): boolean => width < 1 || height < 1 || width > MOST_PX || height > MOST_PX

/** Frame segments that say how large the picture is: SOF0 to SOF15 but for DHT, JPG and DAC. */
const isFrame = (marker: number): boolean => marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)

/**
 * Colour segments by their own words and lengths: JFIF without its thumbnail, Adobe's transform. Any other APP0 or APP14
 * holds whatever somebody put there.
 */
function colourSegment(marker: number, segment: Uint8Array): Uint8Array | null {
  const word = (text: string): boolean => ascii(segment, 4, 4 + text.length) === text
  if (marker === 0xe0 && word('JFIF\0') && segment.length >= 18) {
    const kept = segment.slice(0, 18)
    // Its length, and no thumbnail.
    kept.set([0, 16], 2)
    kept.set([0, 0], 16)
    return kept
  }
  return marker === 0xee && word('Adobe') && segment.length === 16 ? segment : null
}

/**
 * JPEG: keeps frame, tables, scans and what says how colours are meant; drops every other APPn (EXIF, XMP, maps),
 * comments and thumbnails. Anything behind the end of the image goes too.
 * Source: ITU-T T.81, Annex B; T.871 (JFIF) (values from memory).
 */
function stripJpeg(bytes: Uint8Array): StrippedPhoto {
  const parts = [bytes.subarray(0, 2)]
  let at = 2
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return BROKEN
    const marker = bytes[at + 1] ?? 0
    if (marker === 0xff) {
      at += 1
      continue
    }
    const length = ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0)
    if (length < 2 || at + 2 + length > bytes.length) return BROKEN
    const segment = bytes.subarray(at, at + 2 + length)
    const isApp = marker >= 0xe0 && marker <= 0xef
    if (isFrame(marker) && length >= 7) {
      const pair = (k: number): number => ((segment[k] ?? 0) << 8) | (segment[k + 1] ?? 0)
      if (tooLarge(pair(7), pair(5))) return BROKEN
    }
    if (isApp) {
      const kept = colourSegment(marker, segment)
      if (kept) parts.push(kept)
    } else if (marker !== 0xfe) parts.push(segment)
    at += 2 + length
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
  return BROKEN
}

/**
 * PNG chunks that make the picture, and how long each may be; text, time and EXIF chunks are dropped, and so is one
 * that is longer than it can be. Source: PNG (W3C), 11.2 and 11.3 (from memory).
 */
const PNG_KEPT: Readonly<Record<string, number>> = { IHDR: 13, PLTE: 768, IDAT: Infinity, IEND: 0, tRNS: 256, gAMA: 4, cHRM: 32, sRGB: 1, sBIT: 4, bKGD: 6, pHYs: 9 } // prettier-ignore

function stripPng(bytes: Uint8Array): StrippedPhoto {
  const parts = [bytes.subarray(0, 8)]
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  let at = 8
  while (at + 12 <= bytes.length) {
    const length = view.getUint32(at)
    const end = at + 12 + length
    if (end > bytes.length) return BROKEN
    const name = ascii(bytes, at + 4, at + 8)
    if (name === 'IHDR' && (length !== 13 || tooLarge(view.getUint32(at + 8), view.getUint32(at + 12)))) return BROKEN
    if (name === 'IEND' && length > 0) return BROKEN
    if (length <= (Object.hasOwn(PNG_KEPT, name) ? (PNG_KEPT[name] ?? -1) : -1)) parts.push(bytes.subarray(at, end))
    if (name === 'IEND') return { ok: true, type: 'image/png', bytes: joined(parts) }
    at = end
  }
  return BROKEN
}

/** WebP chunks that make the picture; any other is dropped, and the flags of EXIF and XMP cleared. Source: WebP container, RFC 9649 (from memory). */
const WEBP_KEPT: ReadonlySet<string> = new Set(['VP8 ', 'VP8L', 'VP8X', 'ALPH', 'ANIM', 'ANMF'])

function stripWebp(bytes: Uint8Array): StrippedPhoto {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const parts: Uint8Array[] = []
  let at = 12
  while (at + 8 <= bytes.length) {
    const size = view.getUint32(at + 4, true)
    const end = at + 8 + size + (size % 2)
    if (at + 8 + size > bytes.length) return BROKEN
    const name = ascii(bytes, at, at + 4)
    if (WEBP_KEPT.has(name)) {
      const chunk = bytes.slice(at, Math.min(end, bytes.length))
      if (name === 'VP8X') {
        if (size !== 10) return BROKEN
        const three = (k: number): number => 1 + ((chunk[k] ?? 0) | ((chunk[k + 1] ?? 0) << 8) | ((chunk[k + 2] ?? 0) << 16))
        if (tooLarge(three(12), three(15))) return BROKEN
        // No colour profile, EXIF or XMP is left for these to speak of.
        chunk[8] = (chunk[8] ?? 0) & ~0x2c
      }
      parts.push(chunk)
    }
    at = end
  }
  if (parts.length === 0) return BROKEN
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
