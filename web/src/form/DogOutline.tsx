import { typicalForm, type About, type Body } from '@merry-tailor/core'
import { useEffect, useMemo, useSyncExternalStore } from 'react'
import { fixed } from '../ui/plates/geometry'
import { knownOutline, onOutline, outlineKey, outlineOf, wantOutline } from './outlines'

/** A dog in a row: its own outline on a short floor, from the device's copy where there is one; the build's middle dog until then. */
export function DogOutline({ body, about, width = 78, height = 50 }: { body: Body; about: About | null; width?: number; height?: number }) {
  const key = useMemo(() => outlineKey(body, about), [body, about])
  const own = useSyncExternalStore(onOutline, () => knownOutline(key))
  useEffect(() => void wantOutline(key, body, about), [key, body, about])
  const { plates, left, right, top } = useMemo(() => own ?? outlineOf(typicalForm(about)), [own, about])
  const scale = Math.min((width - 4) / (right - left), (height - 4) / top) * sizeOf(about)
  const x0 = width / 2 - ((left + right) / 2) * scale
  const paths = plates.map(({ far, points }) => ({
    far,
    d: `M${points.map(([x, z]) => `${fixed(x0 + x * scale)} ${fixed(height - 2 - z * scale)}`).join('L')}Z`,
  }))
  return (
    <svg width={width} height={height} aria-hidden className="block shrink-0">
      <line x1={0} x2={width} y1={height - 1.5} y2={height - 1.5} stroke="var(--edge)" strokeWidth={1.4} />
      <g stroke="var(--ink)" strokeWidth={3.2} strokeLinejoin="round">
        {paths.map((path, i) => (
          <path key={i} d={path.d} />
        ))}
      </g>
      <g stroke="none">
        {paths.map((path, i) => (
          <path key={i} d={path.d} fill={path.far ? 'var(--mat-line2)' : 'var(--mat)'} />
        ))}
      </g>
    </svg>
  )
}

/** Small dogs stand smaller in a list of dogs, though not to scale: a toy would vanish. */
const sizeOf = (about: About | null): number => (about?.weightKg ? Math.min(1, 0.72 + about.weightKg / 90) : 0.9)
