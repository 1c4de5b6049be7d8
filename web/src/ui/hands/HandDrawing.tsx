import type { ReactNode } from 'react'
import type { HandPose } from './hand-of'

const WIDTH = 112
const HEIGHT = 100

/** How a hand makes a check: drawn, not said; the sentence stands beside it. */
export function HandDrawing({ pose, height = HEIGHT }: { pose: HandPose; height?: number }) {
  return (
    <svg aria-hidden width={(height * WIDTH) / HEIGHT} height={height} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="block shrink-0">
      <g fill="var(--plate)" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" strokeLinecap="round">
        {drawn(pose)}
      </g>
    </svg>
  )
}

function drawn(pose: HandPose): ReactNode {
  switch (pose.kind) {
    case 'flat':
      return <Flat fingers={pose.fingers} />
    case 'eight':
      return <Eight />
    case 'wide':
      return <Wide fingers={pose.fingers} />
    case 'point':
      return <Pointing />
    case 'sides':
      return <Sides />
    case 'pull':
      return <Pulling />
    case 'swing':
      return <Swing />
    case 'walk':
      return <Walk />
    case 'feel':
      return <Feel />
  }
}

/** Webbing with its stitching. */
function Web({ d }: { d: string }) {
  return (
    <g fill="none">
      <path d={d} stroke="var(--plate)" strokeWidth={21} strokeLinecap="butt" />
      <path d={d} stroke="var(--web)" strokeWidth={17} strokeLinecap="butt" />
      <path d={d} stroke="var(--web-stitch)" strokeWidth={1.4} strokeDasharray="6 4" strokeLinecap="butt" />
    </g>
  )
}

const FINGER = 13.5

/** A hand from the left: so many fingers stretched out, the others bent; the thumb above. */
function Hand({ out, reach, top }: { out: number; reach: number; top: number }) {
  return (
    <g>
      <path
        d={`M0 ${top - 2}C10 ${top - 8} 16 ${top - 14} 26 ${top - 18}C36 ${top - 24} 46 ${top - 25} 52 ${top - 21}C55 ${top - 17} 51 ${top - 13} 45 ${top - 12}C39 ${top - 10} 36 ${top - 6} 34 ${top - 1}L42 ${top}V${top + 4 * FINGER}C30 ${top + 4 * FINGER + 5} 16 ${top + 4 * FINGER - 2} 0 ${top + 4 * FINGER - 6}`}
      />
      {Array.from({ length: 4 }, (_, i) => (
        <rect key={i} x={36} y={top + i * FINGER} width={i < out ? reach - (i === 3 ? 8 : i === 0 ? 4 : 0) : 22} height={FINGER} rx={6.5} />
      ))}
      <path d={`M37.5 ${top + 2.5}V${top + 4 * FINGER - 2.5}`} stroke="var(--plate)" strokeWidth={4} />
    </g>
  )
}

const Flat = ({ fingers }: { fingers: number }): ReactNode => (
  <>
    <Hand out={fingers} reach={70} top={34} />
    <Web d="M76 0V100" />
  </>
)

const Eight = (): ReactNode => (
  <>
    <g transform="translate(0 -2) scale(0.62 0.9)">
      <Hand out={4} reach={62} top={34} />
    </g>
    <g transform="translate(112 -2) scale(-0.62 0.9)">
      <Hand out={4} reach={62} top={34} />
    </g>
    <Web d="M42 0V100" />
    <Web d="M70 0V100" />
  </>
)

const Wide = ({ fingers }: { fingers: number }): ReactNode => (
  <>
    <path d="M0 92H112" stroke="var(--edge)" />
    <path d="M4 40C16 44 22 56 20 72C19 82 12 90 2 92" fill="var(--plate-far)" />
    <circle cx={14} cy={64} r={4.4} />
    <path d={`M22 0C22 12 22 22 24 30H${26 + fingers * 16}C${30 + fingers * 16} 20 ${30 + fingers * 16} 10 ${30 + fingers * 16} 0`} />
    {Array.from({ length: fingers }, (_, i) => (
      <rect key={i} x={24 + i * 16} y={24} width={16} height={54 + (i === 1 ? 6 : 0)} rx={7.5} />
    ))}
    <path d={`M27 25H${21 + fingers * 16}`} stroke="var(--plate)" strokeWidth={5} />
    <Web d={`M${35 + fingers * 16} 34V100`} />
  </>
)

const Pointing = (): ReactNode => (
  <>
    <path d="M112 8C92 20 84 36 82 54C80 74 86 88 96 100" fill="var(--plate-far)" stroke="var(--edge)" />
    <Web d="M66 0L80 54L70 100" />
    <Hand out={1} reach={46} top={46} />
    <circle cx={88} cy={53} r={6} />
    <circle cx={88} cy={53} r={2} fill="var(--ink)" />
  </>
)

const Sides = (): ReactNode => (
  <>
    <Web d="M30 0V84" />
    <Web d="M82 0V84" />
    <path d="M6 84H50M62 84H106" stroke="var(--ink)" strokeWidth={2.4} />
    <path d="M41 58H71M41 58l7 -5M41 58l7 5M71 58l-7 -5M71 58l-7 5" fill="none" />
    <rect x={22} y={28} width={16} height={13} rx={1.5} />
    <rect x={74} y={28} width={16} height={13} rx={1.5} />
    <path d="M30 96v-8M82 96v-8" strokeWidth={2.4} />
  </>
)

const Pulling = (): ReactNode => (
  <>
    <Web d="M48 50H112" />
    <path d="M0 32C12 28 20 27 28 28C34 24 46 24 52 29C57 33 57 38 56 42V64C56 72 48 75 38 74C24 76 12 73 0 70" />
    {[0, 1, 2, 3].map((i) => (
      <rect key={i} x={34} y={33 + i * 10} width={24} height={11} rx={5.5} />
    ))}
    <path d="M26 29C36 20 50 20 56 27C58 32 50 34 44 34" />
    <path d="M50 88H14M14 88l9 -7M14 88l9 7" fill="none" strokeWidth={3} />
  </>
)

const Swing = (): ReactNode => (
  <>
    <path d="M44 2C34 12 34 26 42 36L36 60L44 62L54 38C66 34 74 20 70 2" />
    <path d="M36 60C34 70 36 78 40 84H54C54 78 48 76 46 70L44 62" />
    <path d="M62 34L82 60L76 68" fill="none" stroke="var(--mute)" strokeDasharray="3 4" />
    <path d="M14 78C30 96 70 98 92 72M92 72l-11 3M92 72l0 11M14 78l0 11M14 78l11 2" fill="none" strokeWidth={2.6} />
  </>
)

const Paw = ({ x, y }: { x: number; y: number }): ReactNode => (
  <g transform={`translate(${x} ${y}) rotate(70)`} fill="var(--ink)" stroke="none">
    <ellipse cx={0} cy={4} rx={7} ry={5.5} />
    <ellipse cx={-7} cy={-4} rx={2.6} ry={3.8} />
    <ellipse cx={-2.4} cy={-7.5} rx={2.6} ry={3.8} />
    <ellipse cx={2.8} cy={-7.5} rx={2.6} ry={3.8} />
    <ellipse cx={7.2} cy={-4} rx={2.6} ry={3.8} />
  </g>
)
const Walk = (): ReactNode => (
  <>
    <Paw x={16} y={66} />
    <Paw x={42} y={38} />
    <Paw x={68} y={62} />
    <Paw x={94} y={34} />
    <path d="M12 90H98M98 90l-9 -6M98 90l-9 6" fill="none" strokeWidth={2.6} />
  </>
)

const Feel = (): ReactNode => (
  <>
    <path d="M0 96C30 82 80 82 112 96" fill="none" stroke="var(--edge)" strokeWidth={2.4} />
    <Web d="M78 0V88" />
    <Hand out={4} reach={60} top={30} />
  </>
)
