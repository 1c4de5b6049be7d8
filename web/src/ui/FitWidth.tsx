import type { CSSProperties, ReactNode } from 'react'
import { PHONE, useMedia } from './use-media'
import { useWidth } from './use-width'
import './fit-width.css'

const PX_PER_MM = 96 / 25.4

/** A page of paper at the width there is: never cut, never moved sideways; printed as it is. */
export function FitWidth({ widthMm, children }: { widthMm: number; children: ReactNode }) {
  const natural = widthMm * PX_PER_MM
  const [ref, width] = useWidth<HTMLDivElement>(natural)
  // On a phone the page is not shrunk but laid out anew: nobody reads it smaller.
  const reflows = useMedia(PHONE)
  const fit = reflows ? 1 : Math.min(1, width / natural)
  return (
    <div ref={ref} className="w-full">
      <div className="fit-width" style={{ '--fit': fit } as CSSProperties}>
        {children}
      </div>
    </div>
  )
}
