import { useRef, type ReactNode } from 'react'

interface ListPaneProps {
  label: string
  /** What is picked, as readers are told. */
  pickedLabel: string
  /** `aside` stands at the row’s right end. */
  rows: readonly { id: string; title: string; aside?: string; note: string }[]
  current: string | null
  onPick: (id: string) => void
  foot: ReactNode
  children: ReactNode
}

/** A list beside what is picked from it. */
export function ListPane({ label, pickedLabel, rows, current, onPick, foot, children }: ListPaneProps) {
  const picked = useRef<HTMLElement>(null)
  return (
    <div className="quiet-scroll min-h-0 flex-1 tablet:grid tablet:grid-cols-[316px_1fr] tablet:overflow-hidden" tabIndex={-1}>
      <section aria-label={label} className="flex min-h-0 flex-col bg-panel tablet:border-r-2 tablet:border-ink">
        <ul className="quiet-scroll min-h-0 flex-1">
          {rows.map(({ id, title, aside, note }) => (
            <li key={id} className="border-b border-rule">
              <button
                type="button"
                aria-pressed={id === current}
                onClick={() => {
                  onPick(id)
                  // On a phone what was picked lies under the list: it comes into sight, so that nobody edits another.
                  if (window.matchMedia('(max-width: 959px)').matches) picked.current?.scrollIntoView()
                }}
                className={`block min-h-[62px] w-full border-l-[5px] px-3 py-2 text-left ${id === current ? 'border-ink bg-bench' : 'border-transparent'}`}
              >
                <span className="flex items-baseline justify-between gap-2 text-[17px] leading-[21px] font-bold">
                  {title}
                  {aside && <span className="text-[13.5px] font-semibold text-mute">{aside}</span>}
                </span>
                <span className="block text-[14px] text-mute">{note}</span>
              </button>
            </li>
          ))}
        </ul>
        {foot}
      </section>
      <section ref={picked} aria-label={pickedLabel} className="quiet-scroll min-h-0 bg-bench max-tablet:border-t-2 max-tablet:border-ink">
        {children}
      </section>
    </div>
  )
}
