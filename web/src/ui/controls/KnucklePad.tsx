import { Delete } from 'lucide-react'
import { TypedLength } from '../length/TypedLength'

interface KnucklePadProps {
  typed: string
  onType: (typed: string) => void
  /** Inches have a space and quarters; centimetres and weights a point. */
  fractions: boolean
}

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const
const QUARTERS = ['1/4', '1/2', '3/4'] as const

/** A number pad for a knuckle or a gloved hand. */
export function KnucklePad({ typed, onType, fractions }: KnucklePadProps) {
  const key =
    'flex min-h-[52px] lg:min-h-[64px] items-center justify-center rounded-[2px] border-2 border-ink bg-panel text-[32px] font-bold active:bg-ink active:text-panel'
  const press = (sign: string) => () => onType(`${typed}${sign}`)
  return (
    <div className="grid flex-1 grid-cols-3 gap-1.5 lg:gap-2">
      {DIGITS.map((digit) => (
        <button key={digit} type="button" className={key} onClick={press(digit)}>
          {digit}
        </button>
      ))}
      <button type="button" className={key} onClick={press(fractions ? ' ' : '.')} aria-label={fractions ? 'space' : 'point'}>
        {fractions ? '␣' : '.'}
      </button>
      <button type="button" className={key} onClick={press('0')}>
        0
      </button>
      <button type="button" className={key} onClick={() => onType(typed.slice(0, -1))} aria-label="Take back">
        <Delete size={34} aria-hidden />
      </button>
      {fractions &&
        QUARTERS.map((quarter) => (
          <button
            key={quarter}
            type="button"
            className={key}
            aria-label={quarter}
            onClick={() => onType(`${typed.replace(/ ?\d\/\d$/, '').trim()} ${quarter}`.trim())}
          >
            <TypedLength text={quarter} />
          </button>
        ))}
    </div>
  )
}

/** The keys of a keyboard that type into a pad, for a key map. */
export const padKeys = (typed: string, onType: (typed: string) => void): Record<string, () => void> => ({
  ...Object.fromEntries(['0', ...DIGITS, '.', ',', '/'].map((sign) => [sign, () => onType(`${typed}${sign}`)])),
  Backspace: () => onType(typed.slice(0, -1)),
})
