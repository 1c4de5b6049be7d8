import { landmarks, type Flat, type Landmark, type LandmarkId } from '@merry-tailor/core'
import type { Point } from './geometry'

interface BoneMarksProps {
  id: LandmarkId
  /** Where the landmarks of this view lie. */
  places: Readonly<Record<string, Flat | undefined>>
  to: (point: Flat) => Point
  plain: boolean
}

/** Where the hand goes, yellow and ringed; and the places it is taken for, crossed out in red. */
export function BoneMarks({ id, places, to, plain }: BoneMarksProps) {
  const bone: Landmark = landmarks[id]
  const at = places[id]
  if (!at) return null
  const wrong = (bone.mistaken ?? []).flatMap((each): Flat[] => {
    if (typeof each === 'string') return places[each] ? [places[each]] : []
    const [from, end] = [places[each[0]], places[each[1]]]
    return from && end ? [[from[0] + (end[0] - from[0]) * each[2], from[1] + (end[1] - from[1]) * each[2]]] : []
  })
  const [here, r] = [to(at), plain ? 4.5 : 9]
  return (
    <g>
      {wrong.map((place, i) => {
        const { x, y } = to(place)
        const q = r * 0.72
        return (
          <path
            key={i}
            d={`M${x - q} ${y - q}L${x + q} ${y + q}M${x + q} ${y - q}L${x - q} ${y + q}`}
            stroke="var(--snag)"
            strokeWidth={plain ? 2 : 3}
            strokeLinecap="round"
          />
        )
      })}
      {!plain && <circle cx={here.x} cy={here.y} r={r + 8} fill="none" stroke="var(--ink)" strokeWidth={1.6} strokeDasharray="4 4" />}
      <circle cx={here.x} cy={here.y} r={r} fill="var(--tape)" stroke="var(--ink)" strokeWidth={plain ? 1.6 : 2.4} />
    </g>
  )
}
