import { KeyCap } from '../ui/controls/KeyCap'
import { Problem } from '../ui/controls/Problem'

interface YellowFootProps {
  title: string
  /** What it would do, in a line. */
  detail: string
  problem: string | null
  /** It cannot be pressed yet. */
  rests?: boolean
  onPress: () => void
}

/** A bench's one yellow button at the foot of its column, fixed on a phone; what went wrong stands over it. */
export function YellowFoot({ title, detail, problem, rests = false, onPress }: YellowFootProps) {
  return (
    <div className="border-t-2 border-ink bg-panel p-3 max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-10">
      <Problem className="pb-1">{problem}</Problem>
      <button
        type="button"
        disabled={rests}
        onClick={onPress}
        className="flex min-h-[56px] w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-left text-tape-ink disabled:bg-tape-rest"
      >
        <span>
          <b className="block text-[19px] leading-6">{title}</b>
          <span className="text-[14.5px] font-semibold">{detail}</span>
        </span>
        <span className="max-md:hidden">
          <KeyCap tone="tape">Enter</KeyCap>
        </span>
      </button>
    </div>
  )
}
