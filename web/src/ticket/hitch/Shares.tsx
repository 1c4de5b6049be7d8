import type { Rig } from '@merry-tailor/core'
import type { DraftNow } from './draft-now'

/** How left and right share the pull at three gives. */
export function Shares({
  now,
  rig,
  kg,
  apartMm,
  say,
}: {
  now: DraftNow
  rig: Rig
  kg: (newton: number) => string
  apartMm: number
  say: (mm: number) => string
}) {
  const uneven = Math.abs(apartMm) > 5
  return (
    <div>
      <h2 className="flex flex-wrap items-baseline gap-x-3 text-[18px] leading-[22px]">
        Left and right pull
        {Math.abs(apartMm) >= 1 && (
          <span className={`font-text text-[14px] ${uneven ? 'font-bold text-chalk' : 'text-mute'}`}>
            {apartMm > 0 ? 'left' : 'right'} {say(Math.abs(apartMm))} longer
          </span>
        )}
      </h2>
      <ul>
        {now.shares.map(({ label, traces }) => {
          const whole = traces.tensionN.rearLeft + traces.tensionN.rearRight
          return (
            <li key={label} className={`grid items-center gap-2 text-[14.5px] ${rig.bar.swings ? 'grid-cols-[52px_1fr_44px]' : 'grid-cols-[52px_1fr]'}`}>
              <span className="text-mute">{label}</span>
              <span
                className="flex h-6 border-[1.5px] border-ink"
                role="img"
                aria-label={`${label}: left ${kg(whole * traces.leftShare)}, right ${kg(whole * (1 - traces.leftShare))}`}
              >
                <span className="flex items-center overflow-hidden bg-panel px-1 font-bold whitespace-nowrap" style={{ width: `${100 * traces.leftShare}%` }}>
                  {traces.leftShare > 0.98 ? 'right hangs slack' : traces.leftShare > 0.18 ? kg(whole * traces.leftShare) : ''}
                </span>
                <span className="flex flex-1 items-center justify-between overflow-hidden bg-ink px-1 font-bold whitespace-nowrap text-panel">
                  <span>{traces.leftShare < 0.02 ? 'left hangs slack' : ''}</span>
                  {traces.leftShare < 0.82 ? kg(whole * (1 - traces.leftShare)) : ''}
                </span>
              </span>
              {rig.bar.swings && <span className="text-right text-[13.5px] text-mute">{((Math.abs(traces.skewRad) * 180) / Math.PI).toFixed(1)}°</span>}
            </li>
          )
        })}
      </ul>
      <p className="text-[14px] leading-[18px] text-mute">
        {rig.bar.swings
          ? 'The bar swings and levels it; beside each how far it stands skew.'
          : now.shares.length === 1
            ? 'The bar is fixed; by this dog’s own give, as the scale read it.'
            : 'The bar is fixed: which side takes more hangs on what coat, flesh and harness give, and nobody knows that.'}
        {uneven ? ` Over ${say(5)} apart: make them equal.` : ''}
      </p>
    </div>
  )
}
