import { figure, type Body, type FigureAbout } from '@merry-tailor/core'
import { useMemo } from 'react'
import { cutPlates } from './dog-plates'
import { smoothClosed } from './geometry'

/** A dog in a row: its own outline from its own tapes, on a short floor. */
export function DogOutline({ body, about, width = 78, height = 50 }: { body: Body; about: FigureAbout | null; width?: number; height?: number }) {
  const dog = useMemo(() => cutPlates(figure(body, about)), [body, about])
  const { box, plates, floorY } = dog
  const scale = Math.min((width - 4) / box.width, (height - 4) / box.height) * sizeOf(about)
  const x0 = width / 2 - (box.x + box.width / 2) * scale
  const y0 = height - 2 - floorY * scale
  const path = (points: readonly { x: number; y: number }[]): string =>
    smoothClosed(
      points.map((point) => ({ x: x0 + point.x * scale, y: y0 + point.y * scale })),
      0.85,
    )
  return (
    <svg width={width} height={height} aria-hidden className="block shrink-0">
      <line x1={0} x2={width} y1={height - 1.5} y2={height - 1.5} stroke="var(--edge)" strokeWidth={1.4} />
      <g stroke="var(--ink)" strokeWidth={3.2} strokeLinejoin="round">
        {plates.map((plate) => (
          <path key={plate.name} d={path(plate.points)} />
        ))}
      </g>
      <g fill="var(--mat)" stroke="none">
        {plates.map((plate) => (
          <path key={plate.name} d={path(plate.points)} fill={plate.far ? 'var(--mat-line2)' : 'var(--mat)'} />
        ))}
      </g>
    </svg>
  )
}

/** Small dogs stand smaller in a list of dogs, though not to scale: a toy would vanish. */
const sizeOf = (about: FigureAbout | null): number => (about?.weightKg ? Math.min(1, 0.72 + about.weightKg / 90) : 0.9)
