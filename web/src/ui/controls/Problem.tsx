import { useId, type ReactNode } from 'react'

interface ProblemProps {
  /** Nothing is drawn where nothing is wrong. */
  children: ReactNode
  /** What the field names by `aria-describedby`. */
  id?: string
  /** Set apart by a bar, where it is said of a whole part of the screen. */
  barred?: boolean
  className?: string
}

/** What is wrong and what to do, right under what it is wrong with; a screen reader says it at once. */
export function Problem({ children, id, barred = false, className = '' }: ProblemProps) {
  if (children === null || children === undefined || children === false || children === '') return null
  return (
    <p id={id} role="alert" className={`${barred ? 'border-l-[5px] border-snag bg-snag-bg px-3 py-2' : 'font-semibold text-snag'} ${className}`}>
      {children}
    </p>
  )
}

/** Ties a field to the problem under it: `field` goes on the field, `id` on its `Problem`. */
export function useFieldProblem(problem: string | null | undefined): { field: { 'aria-invalid'?: true; 'aria-describedby'?: string }; id: string } {
  const id = useId()
  return { field: problem ? { 'aria-invalid': true, 'aria-describedby': id } : {}, id }
}
