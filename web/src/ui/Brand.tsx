import { memo } from 'react'
/** The brand scrap: a snipped end of tape and the name. */
export const Brand = memo(function Brand({ small = false }: { small?: boolean }) {
  return (
    <span className="inline-flex items-center gap-3.5">
      <svg width={small ? 18 : 22} height={small ? 36 : 45} viewBox="0 0 22 45" aria-hidden>
        <path d="M0 0H22V37L11 45L0 37Z" fill="var(--tape)" />
        <path d="M0 6H10M0 13H6M0 20H10M0 27H6M0 34H10" stroke="var(--tape-ink)" strokeWidth={2.2} />
        <circle cx={16.5} cy={34} r={2.2} fill="var(--cloth)" />
      </svg>
      {!small && (
        <span className="font-display text-[18px] leading-[18px] font-bold text-cloth-ink">
          Merry
          <br />
          Tailor
        </span>
      )}
    </span>
  )
})
