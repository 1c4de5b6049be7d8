import type { ReactNode } from 'react'

/** Something went wrong here: what happened, what is kept, what to do. */
export function Snag({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div role="alert" className="border-l-[5px] border-snag bg-snag-bg px-4 py-3">
      <p className="font-bold">{title}</p>
      {children && <div className="mt-1 text-[15px]">{children}</div>}
    </div>
  )
}

/** Nothing here yet: the tape without a pin, one sentence and one action. */
export function Empty({ title, children, action }: { title?: string; children: ReactNode; action?: ReactNode }) {
  return (
    <div className="max-w-[560px] px-4 py-5">
      <div aria-hidden className="mb-3 h-6 border-y-[1.4px] border-tape-ink bg-tape-rest" />
      {title && <h1 className="mb-1 text-[22px] leading-7">{title}</h1>}
      <p className="text-[15px] leading-5">{children}</p>
      {action && <div className="mt-3">{action}</div>}
    </div>
  )
}

/** Not here yet: an unmarked strip at final size; the word comes only when it takes long. */
export function Unrolling() {
  return (
    <div className="p-4" aria-busy="true">
      <div aria-hidden className="h-6 border-y-[1.4px] border-tape-ink bg-tape-rest" />
      <p className="mt-2 text-mute opacity-0 [animation:unrolling_0s_400ms_forwards]">Unrolling</p>
    </div>
  )
}
