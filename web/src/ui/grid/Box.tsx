import type { InputHTMLAttributes } from 'react'
import { Problem, useFieldProblem } from '../controls/Problem'

interface BoxProps extends InputHTMLAttributes<HTMLInputElement> {
  /** What it is, for a screen reader: the eye has the heads of row and column. */
  label: string
  problem?: string | null | undefined
  /** Of the input itself. */
  look?: string
}

/** A box of a grid that is typed into: no label to see, and what can't be read right under it. */
export function Box({ label, problem, look = 'text-[18px] font-bold', className = 'w-full', ...rest }: BoxProps) {
  const { field, id } = useFieldProblem(problem)
  return (
    <div className={className}>
      <input
        data-box
        aria-label={label}
        autoComplete="off"
        maxLength={24}
        className={`h-11 w-full rounded-[2px] border-2 bg-panel px-2 ${look} ${problem ? 'border-snag' : 'border-ink'}`}
        {...field}
        {...rest}
      />
      <Problem id={id} className="mt-0.5 text-[13px] leading-4">
        {problem}
      </Problem>
    </div>
  )
}
