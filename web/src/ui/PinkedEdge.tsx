import { memo } from 'react'
/** The pinked lower edge of the dark cloth. */
export const PinkedEdge = memo(function PinkedEdge() {
  return (
    <svg aria-hidden width="100%" height={5} className="pointer-events-none absolute top-full left-0 z-10 block" style={{ marginTop: -1 }}>
      <defs>
        <pattern id="pinking" width={8} height={5} patternUnits="userSpaceOnUse">
          <path d="M0 0H8L6 4.6Q4 1.2 2 4.6Z" fill="var(--cloth)" />
        </pattern>
      </defs>
      <rect width="100%" height={5} fill="url(#pinking)" />
    </svg>
  )
})
