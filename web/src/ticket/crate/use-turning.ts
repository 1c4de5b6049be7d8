import { useEffect, useState } from 'react'
import { useMedia } from '../../ui/use-media'

const TURN_MS = 1200

/** How far round it is, 0 to 1: half round at rest; played once when asked, at once where motion is not wanted. */
export function useTurning(): { share: number; play: () => void } {
  const still = useMedia('(prefers-reduced-motion: reduce)')
  const [from, setFrom] = useState<number | null>(null)
  const [share, setShare] = useState(0.5)
  useEffect(() => {
    if (from === null) return
    let frame = 0
    const turn = (now: number): void => {
      const t = Math.min(1, (now - from) / TURN_MS)
      setShare(t < 1 ? t : 0.5)
      if (t < 1) frame = requestAnimationFrame(turn)
      else setFrom(null)
    }
    frame = requestAnimationFrame(turn)
    return () => cancelAnimationFrame(frame)
  }, [from])
  return { share, play: () => (still ? setShare(0.5) : setFrom(performance.now())) }
}
