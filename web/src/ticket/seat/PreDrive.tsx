import { PRE_DRIVE } from '@merry-tailor/core'
import { Mark } from '../../ui/marks/Mark'
import type { PreDriveCode } from './seat-state'
import { PRE_DRIVE_WORDS } from './seat-words'

/** Six lines before driving off: pressed once each was seen. */
export function PreDrive({ seen, onSeen }: { seen: readonly PreDriveCode[]; onSeen: (seen: PreDriveCode[]) => void }) {
  return (
    <section aria-label="Before you drive">
      <h2 className="flex items-baseline justify-between text-[19px] leading-6">
        Before you drive
        <span className="font-text text-[14px] text-mute">
          {seen.length} of {PRE_DRIVE.length} seen
        </span>
      </h2>
      <ul className="mt-1 grid border-t border-rule sm:grid-cols-2">
        {PRE_DRIVE.map(({ code }) => {
          const done = seen.includes(code)
          return (
            <li key={code} className="border-b border-rule sm:odd:border-r">
              <button
                type="button"
                aria-pressed={done}
                onClick={() => onSeen(done ? seen.filter((each) => each !== code) : [...seen, code])}
                className="flex min-h-12 w-full items-center gap-2 px-2 py-1 text-left text-[15px] leading-[18px] hover:bg-bench"
              >
                <Mark grade={done ? 'holds' : 'none'} basis={done ? 'seen' : 'predicted'} size={17} />
                {PRE_DRIVE_WORDS[code]}
              </button>
            </li>
          )
        })}
      </ul>
    </section>
  )
}
