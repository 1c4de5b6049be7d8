import { useRef, type ComponentProps } from 'react'
import { Button } from './Button'

interface FileButtonProps {
  /** What the file is, for those who do not see the button. */
  label: string
  accept: string
  onFile: (file: File) => void
  children: string
  tone?: ComponentProps<typeof Button>['tone']
  className?: string
}

/** A button that asks for a file; the same file may be given twice. */
export function FileButton({ label, accept, onFile, children, tone = 'quiet', className = '' }: FileButtonProps) {
  const field = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button tone={tone} onClick={() => field.current?.click()} className={className}>
        {children}
      </Button>
      <input
        ref={field}
        type="file"
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0]
          event.target.value = ''
          if (file) onFile(file)
        }}
      />
    </>
  )
}
