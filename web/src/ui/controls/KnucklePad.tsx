import { Delete } from 'lucide-react'
import { TypedLength } from '../length/TypedLength'

interface KnucklePadProps {
  typed: string
  onType: (typed: string) => void
  /** Inches have a space and eighths; centimetres and weights a point. */
  fractions: boolean
  /** The unit key, where the unit may change: what it says and does. */
  unit?: { label: string; onChange: () => void }
}

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const
const EIGHTHS = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'] as const
const KEY = 'flex min-h-[52px] lg:min-h-[60px] items-center justify-center rounded-[2px] border-2 border-ink bg-panel font-bold active:bg-ink active:text-panel'
const BIG = `${KEY} text-[32px]`

/** A number pad for a knuckle or a gloved hand: digits, and an inch's eighths in two columns beside them. */
export function KnucklePad({ typed, onType, fractions, unit }: KnucklePadProps) {
  const press = (sign: string) => () => onType(`${typed}${sign}`)
  const unitKey = unit && (
    <button type="button" className={`${KEY} text-[16px]`} onClick={unit.onChange} aria-label={`Unit: ${unit.label}, change`}>
      in / cm
    </button>
  )
  return (
    <div className={`grid flex-1 gap-1.5 lg:gap-2 ${fractions ? 'grid-cols-[3fr_2fr]' : 'grid-cols-1'}`}>
      <div className="grid grid-cols-3 gap-1.5 lg:gap-2">
        {DIGITS.map((digit) => (
          <button key={digit} type="button" className={BIG} onClick={press(digit)}>
            {digit}
          </button>
        ))}
        <button type="button" className={BIG} onClick={press(fractions ? ' ' : '.')} aria-label={fractions ? 'space' : 'point'}>
          {fractions ? '␣' : '.'}
        </button>
        <button type="button" className={BIG} onClick={press('0')}>
          0
        </button>
        <button type="button" className={BIG} onClick={() => onType(typed.replace(/(?: ?\d\/\d|.)$/, ''))} aria-label="Take back">
          <Delete size={34} aria-hidden />
        </button>
      </div>
      {fractions && (
        <div className="grid grid-cols-2 gap-1.5 lg:gap-2">
          {EIGHTHS.map((eighth) => (
            <button
              key={eighth}
              type="button"
              className={`${KEY} text-[26px] aria-pressed:bg-ink aria-pressed:text-panel`}
              aria-label={eighth}
              aria-pressed={typed.endsWith(eighth)}
              onClick={() => onType(`${typed.replace(/ ?\d\/\d$/, '').trim()} ${eighth}`.trim())}
            >
              <TypedLength text={eighth} />
            </button>
          ))}
          {unitKey}
        </div>
      )}
      {!fractions && unitKey}
    </div>
  )
}

/** The keys of a keyboard that type into a pad, for a key map. */
export const padKeys = (typed: string, onType: (typed: string) => void): Record<string, () => void> => ({
  ...Object.fromEntries(['0', ...DIGITS, '.', ',', '/'].map((sign) => [sign, () => onType(`${typed}${sign}`)])),
  Backspace: () => onType(typed.slice(0, -1)),
})
