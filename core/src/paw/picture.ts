/** A picture as a canvas gives it: four bytes a pixel, red first. */
export interface Picture {
  width: number
  height: number
  data: Uint8ClampedArray | Uint8Array
}

/** Numbers in rows. */
export interface Grid {
  width: number
  height: number
  values: Float32Array
}

export const gridOf = (width: number, height: number): Grid => ({ width, height, values: new Float32Array(width * height) })

const grey = (data: Picture['data'], k: number): number => 0.299 * (data[k] as number) + 0.587 * (data[k + 1] as number) + 0.114 * (data[k + 2] as number)

/** Brightness at a place between pixels, 0 to 255; beyond the edge the edge goes on. */
export function brightness({ width, height, data }: Picture, x: number, y: number): number {
  const cx = Math.min(width - 1.001, Math.max(0, x - 0.5))
  const cy = Math.min(height - 1.001, Math.max(0, y - 0.5))
  const i = cx | 0
  const j = cy | 0
  const fx = cx - i
  const fy = cy - j
  const k = 4 * (j * width + i)
  const right = k + (i + 1 < width ? 4 : 0)
  const below = j + 1 < height ? 4 * width : 0
  const top = grey(data, k) * (1 - fx) + grey(data, right) * fx
  const low = grey(data, k + below) * (1 - fx) + grey(data, right + below) * fx
  return top * (1 - fy) + low * fy
}

/** 1 where a number is over a limit. Plain loops: half a million cells are asked again and again. */
export function cellsOver(values: Float32Array, limit: number): Uint8Array {
  const out = new Uint8Array(values.length)
  for (let i = 0; i < values.length; i++) if ((values[i] as number) > limit) out[i] = 1
  return out
}

/** A brightness picture no longer than so many pixels, each the mean of a square block. */
export function shrunk({ width, height, data }: Picture, longest: number): { grid: Grid; by: number } {
  const by = Math.max(1, Math.ceil(Math.max(width, height) / longest))
  const grid = gridOf(Math.floor(width / by), Math.floor(height / by))
  // Of a large block every second pixel says as much.
  const skip = by >= 4 ? 2 : 1
  const share = 1 / Math.ceil(by / skip) ** 2
  for (let y = 0; y < grid.height; y++)
    for (let x = 0; x < grid.width; x++) {
      let sum = 0
      for (let b = 0; b < by; b += skip) {
        let k = 4 * ((y * by + b) * width + x * by)
        for (let a = 0; a < by; a += skip, k += 4 * skip) sum += grey(data, k)
      }
      grid.values[y * grid.width + x] = sum * share
    }
  return { grid, by }
}

/**
 * Groups of set cells that touch by a side, or by a corner too.
 *
 * @param set 1 where a cell is set; emptied on the way
 * @param each gets a group's cells
 */
export function groups(width: number, height: number, set: Uint8Array, corners: boolean, each: (cells: Int32Array) => void): void {
  const stack = new Int32Array(width * height)
  let end = 0
  const take = (at: number): void => {
    if (set[at] === 1) {
      set[at] = 0
      stack[end++] = at
    }
  }
  for (let start = 0; start < set.length; start++) {
    if (set[start] !== 1) continue
    end = 0
    take(start)
    for (let read = 0; read < end; read++) {
      const at = stack[read] as number
      const x = at % width
      const [left, right] = [x > 0, x < width - 1]
      const [up, down] = [at >= width, at < width * (height - 1)]
      if (left) take(at - 1)
      if (right) take(at + 1)
      if (up) take(at - width)
      if (down) take(at + width)
      if (!corners) continue
      if (up && left) take(at - width - 1)
      if (up && right) take(at - width + 1)
      if (down && left) take(at + width - 1)
      if (down && right) take(at + width + 1)
    }
    each(stack.slice(0, end))
  }
}

/** Distance of every cell to the nearest set one, in cells (Felzenszwalb & Huttenlocher 2012, exact). */
export function distances(width: number, height: number, set: Uint8Array): Float32Array {
  const far = 1e20
  const out = new Float64Array(width * height)
  for (let i = 0; i < out.length; i++) out[i] = set[i] === 1 ? 0 : far
  const n = Math.max(width, height)
  const [f, d, z, v] = [new Float64Array(n), new Float64Array(n), new Float64Array(n + 1), new Int32Array(n)]
  const line = (count: number, from: number, step: number): void => {
    for (let i = 0; i < count; i++) f[i] = out[from + i * step] as number
    let k = 0
    v[0] = 0
    z[0] = -far
    z[1] = far
    for (let q = 1; q < count; q++) {
      let s = 0
      for (;;) {
        const p = v[k] as number
        s = ((f[q] as number) + q * q - (f[p] as number) - p * p) / (2 * q - 2 * p)
        if (s > (z[k] as number) || k === 0) break
        k--
      }
      if (s <= (z[k] as number)) s = -far
      else k++
      if (s === -far) k = 0
      v[k] = q
      z[k] = s
      z[k + 1] = far
    }
    k = 0
    for (let q = 0; q < count; q++) {
      while ((z[k + 1] as number) < q) k++
      const p = v[k] as number
      d[q] = (q - p) * (q - p) + (f[p] as number)
    }
  }
  for (let x = 0; x < width; x++) {
    line(height, x, width)
    for (let y = 0; y < height; y++) out[y * width + x] = d[y] as number
  }
  for (let y = 0; y < height; y++) {
    line(width, y * width, 1)
    for (let x = 0; x < width; x++) out[y * width + x] = d[x] as number
  }
  const roots = new Float32Array(out.length)
  for (let i = 0; i < out.length; i++) roots[i] = Math.sqrt(out[i] as number)
  return roots
}
