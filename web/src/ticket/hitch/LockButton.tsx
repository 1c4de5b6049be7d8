import { KeyCap } from '../../ui/controls/KeyCap'
import { Problem } from '../../ui/controls/Problem'

/** The yellow act of the bench: keeps the set-up as what this item draws. */
export function LockButton({ isLocked, can, refused, onLock }: { isLocked: boolean; can: boolean; refused: string | null; onLock: () => void }) {
  return (
    <div className="border-t-2 border-ink bg-panel p-3 max-md:fixed max-md:inset-x-0 max-md:bottom-0 max-md:z-10">
      <Problem className="mb-2">{refused}</Problem>
      <button
        type="button"
        disabled={isLocked || !can}
        onClick={onLock}
        className="flex min-h-14 w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-[18px] font-bold text-tape-ink disabled:bg-tape-rest"
      >
        {isLocked ? 'This set-up is on the ticket' : 'Lock this set-up'} <KeyCap tone="tape">Enter</KeyCap>
      </button>
    </div>
  )
}
