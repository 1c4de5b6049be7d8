import { useForm, useWatch } from 'react-hook-form'
import { useId } from 'react'
import { useOnce } from '../../state/use-once'
import { Button } from '../../ui/controls/Button'
import { Problem, useFieldProblem } from '../../ui/controls/Problem'
import { letterLines, type LetterLine } from './letter-lines'

/** A letter with many numbers: its lines pasted, each kept as it stood. */
export function WholeLetter({ onKeep }: { onKeep: (lines: readonly LetterLine[]) => Promise<string | null> }) {
  const id = useId()
  const once = useOnce()
  const { register, control, getValues, setValue, setError, clearErrors, formState } = useForm({ defaultValues: { text: '' } })
  const { lines, left } = letterLines(useWatch({ control, name: 'text' }))
  const problem = formState.errors.text?.message
  const keep = async (): Promise<boolean> => {
    const read = letterLines(getValues('text'))
    const refused = read.lines.length === 0 ? 'No line with a word and a number in it.' : await onKeep(read.lines)
    if (refused === null) setValue('text', read.left.join('\n'))
    else setError('text', { message: refused })
    return refused === null
  }
  const { field, id: problemId } = useFieldProblem(problem)
  return (
    <details className="border-b border-rule pb-2">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold underline">Many at once: paste the letter’s lines</summary>
      <label htmlFor={id} className="mb-1 block text-[13.5px] font-semibold text-mute">
        A word or letter and its number on each line
      </label>
      <textarea
        id={id}
        rows={5}
        placeholder={'A 34\nB: 13 1/2 in\nneck 41'}
        {...field}
        {...register('text', { onChange: () => clearErrors() })}
        className="w-full border-2 border-ink bg-panel px-3 py-2 text-[16px] placeholder:text-mute"
      />
      <Problem id={problemId} className="text-[14px]">
        {problem}
      </Problem>
      {left.length > 0 && <p className="text-[14px] text-mute">Without a number, left out: {left.join('; ')}.</p>}
      <Button className="mt-1" onClick={() => void once(keep)}>
        {lines.length === 0 ? 'Keep the lines' : lines.length === 1 ? 'Keep 1 number' : `Keep ${lines.length} numbers`}
      </Button>
    </details>
  )
}
