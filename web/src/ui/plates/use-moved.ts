import { useEffect, useRef, useState } from 'react'

export type Place = readonly [number, number, number]
export type Courses = Readonly<Record<string, readonly Place[]>>

const MOVE_MS = 260
/** Courses are led over each other with as many points each. */
const POINTS = 25

/** A course with evenly spread points. */
function even(points: readonly Place[]): Place[] {
  const lengths = points.slice(1).map((p, i) => Math.hypot(...p.map((value, k) => value - ((points[i] as Place)[k] as number))))
  const whole = lengths.reduce((sum, each) => sum + each, 0)
  let [at, gone] = [0, 0]
  return Array.from({ length: POINTS }, (_, n) => {
    const wanted = (whole * n) / (POINTS - 1)
    while (at < lengths.length - 1 && gone + (lengths[at] as number) < wanted) gone += lengths[at++] as number
    const [a, b] = [points[at] as Place, points[Math.min(points.length - 1, at + 1)] as Place]
    const t = Math.min(1, Math.max(0, (wanted - gone) / ((lengths[at] as number) || 1)))
    return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]
  })
}

const still = (): boolean => typeof window.matchMedia === 'function' && window.matchMedia('(prefers-reduced-motion: reduce)').matches

/** Straps on their way from where they lay to where they lie: a quarter of a second, none where motion is reduced. */
export function useMoved(courses: Courses, moves: boolean): Courses {
  const from = useRef<Record<string, Place[]>>({})
  const [shown, setShown] = useState<Courses>(courses)
  useEffect(() => {
    const goal = Object.fromEntries(Object.entries(courses).flatMap(([id, points]) => (points.length > 1 ? [[id, even(points)]] : [])))
    const start = from.current
    if (!moves || still() || typeof requestAnimationFrame !== 'function' || Object.keys(start).length === 0) {
      from.current = goal
      setShown(courses)
      return
    }
    let frame = 0
    const began = performance.now()
    const step = (now: number): void => {
      const t = Math.min(1, (now - began) / MOVE_MS)
      const eased = t * (2 - t)
      const between = Object.fromEntries(
        Object.entries(goal).map(([id, points]) => [
          id,
          points.map((p, i): Place => {
            const a = start[id]?.[i] ?? p
            return [a[0] + (p[0] - a[0]) * eased, a[1] + (p[1] - a[1]) * eased, a[2] + (p[2] - a[2]) * eased]
          }),
        ]),
      )
      from.current = between
      setShown(t < 1 ? between : courses)
      if (t < 1) frame = requestAnimationFrame(step)
      else from.current = goal
    }
    frame = requestAnimationFrame(step)
    return () => cancelAnimationFrame(frame)
  }, [courses, moves])
  return shown
}
