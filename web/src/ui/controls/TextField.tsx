import { useId, type InputHTMLAttributes, type ReactNode, type Ref } from 'react'

interface TextFieldProps extends InputHTMLAttributes<HTMLInputElement> {
  label: string
  hint?: ReactNode
  problem?: string | undefined
  /** A button that belongs to the field. */
  trailing?: ReactNode
  ref?: Ref<HTMLInputElement>
}

/** A labelled line of text; what is wrong with it stands right under it. */
export function TextField({ label, hint, problem, trailing, className = '', ref, ...rest }: TextFieldProps) {
  const id = useId()
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-[13.5px] font-semibold text-mute">
        {label}
      </label>
      <div className="flex">
        <input
          id={id}
          ref={ref}
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem || hint ? `${id}-note` : undefined}
          className={`h-11 w-full min-w-0 rounded-[2px] border-2 bg-panel px-3 text-[16px] placeholder:text-mute ${problem ? 'border-snag' : 'border-ink'}`}
          {...rest}
        />
        {trailing}
      </div>
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
