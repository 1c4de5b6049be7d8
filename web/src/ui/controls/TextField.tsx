import { useId, type InputHTMLAttributes, type ReactNode, type Ref } from 'react'

interface TextFieldProps extends InputHTMLAttributes<HTMLInputElement> {
  label: string
  hint?: ReactNode
  problem?: string | undefined
  ref?: Ref<HTMLInputElement>
}

/** A labelled line of text; what is wrong with it stands right under it. */
export function TextField({ label, hint, problem, className = '', ref, ...rest }: TextFieldProps) {
  const id = useId()
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-[13.5px] font-semibold text-mute">
        {label}
      </label>
      <input
        id={id}
        ref={ref}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem || hint ? `${id}-note` : undefined}
        className={`h-11 w-full rounded-[2px] border-2 bg-panel px-3 text-[16px] placeholder:text-mute ${problem ? 'border-snag' : 'border-ink'}`}
        {...rest}
      />
      {(problem ?? hint) && (
        <p
          id={`${id}-note`}
          role={problem ? 'alert' : undefined}
          className={`mt-1 text-[13.5px] leading-[18px] ${problem ? 'font-semibold text-snag' : 'text-mute'}`}
        >
          {problem ?? hint}
        </p>
      )}
    </div>
  )
}
