import { type About, type Body } from '@merry-tailor/core'
import { useForm } from './use-form'
import { cutOnce } from '../ui/plates/cut'
import { fixed } from '../ui/plates/geometry'

/** A dog in a row: its own outline, cut from its own form, on a short floor. */
export function DogOutline({ body, about, width = 78, height = 50 }: { body: Body; about: About | null; width?: number; height?: number }) {
  const form = useForm(body, about)
  const { plates: cut, box } = cutOnce(form, 'side')
  const scale = Math.min((width - 4) / (box.right - box.left), (height - 4) / box.top) * sizeOf(about)
  const x0 = width / 2 - ((box.left + box.right) / 2) * scale
  const paths = cut.map((plate) => ({
    far: plate.far,
    // Every second corner is enough at this size.
    d: `M${plate.points
      .filter((_, i) => i % 2 === 0)
      .map(([x, z]) => `${fixed(x0 + x * scale)} ${fixed(height - 2 - z * scale)}`)
      .join('L')}Z`,
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
