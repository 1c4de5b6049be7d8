import type { Grade } from '@merry-tailor/core'

/** Verdict marks: solid when seen on the dog, hollow and dashed when predicted. The word always stands beside them. */
export function Mark({ grade, basis, size = 20 }: { grade: Grade; basis: 'seen' | 'predicted'; size?: number }) {
  const width = size * 1.35
  const colour = { holds: 'var(--holds)', doubt: 'var(--chalk)', fails: 'var(--snag)', none: 'var(--mute)' }[grade]
  return (
    <svg width={width} height={size} viewBox="0 0 27 20" fill="none" stroke={colour} strokeLinecap="round" aria-hidden style={{ flexShrink: 0 }}>
      {grade === 'holds' && <KnotMark seen={basis === 'seen'} colour={colour} />}
      {grade === 'doubt' && <LoopMark seen={basis === 'seen'} />}
      {grade === 'fails' && <CutMark seen={basis === 'seen'} />}
      {grade === 'none' && <HolesMark />}
    </svg>
  )
}

function KnotMark({ seen, colour }: { seen: boolean; colour: string }) {
  return (
    <>
      <path d="M1 10H6M21 10H26" strokeWidth={2.4} />
      <circle cx={13.5} cy={10} r={6.6} fill={seen ? colour : 'none'} strokeWidth={1.9} strokeDasharray={seen ? undefined : '3.2 2.4'} />
      <path d="M10.4 12.8L14 7.2M13.6 12.8L17.2 7.2" stroke={seen ? 'var(--panel)' : colour} strokeWidth={1.8} />
    </>
  )
}

function LoopMark({ seen }: { seen: boolean }) {
  return (
    <path
      d="M2 16.5H9C17 16.5 19 12 19 8.4C19 5 16.8 3 13.8 3C10.8 3 8.8 5 8.8 8C8.8 12 12 16.5 18 16.5H25"
      strokeWidth={2.2}
      strokeDasharray={seen ? undefined : '2.8 2.5'}
    />
  )
}

function CutMark({ seen }: { seen: boolean }) {
  return (
    <>
      <path d="M1 10H8M19 10H26" strokeWidth={2.3} strokeDasharray={seen ? undefined : '2.4 2.2'} />
      {seen ? <path d="M9 17.5L18 2.5" strokeWidth={3.2} /> : <path d="M8.2 17L15.4 2.4L18.8 3.4L11.6 18Z" strokeWidth={1.5} strokeLinejoin="round" />}
    </>
  )
}

function HolesMark() {
  return (
    <>
      <circle cx={8.5} cy={10} r={2.8} strokeWidth={1.7} />
      <circle cx={18.5} cy={10} r={2.8} strokeWidth={1.7} />
    </>
  )
}
