import type { ReactNode, Ref } from 'react'
import { useController, type Control, type FieldPath, type FieldPathValue, type FieldValues } from 'react-hook-form'
import { Problem, useFieldProblem } from './Problem'

/** What ties a choice to its form: where the cursor goes when it is wrong, and the problem under it. */
export type ChoiceTie = ReturnType<typeof useFieldProblem>['field'] & { ref?: Ref<HTMLDivElement & HTMLButtonElement> }

interface ChoiceProps<T extends FieldValues, N extends FieldPath<T>> {
  control: Control<T>
  name: N
  /** What is wrong with a value, in words; `true` where nothing is. */
  must?: (value: FieldPathValue<T, N>) => true | string
  children: (choice: { value: FieldPathValue<T, N>; onChange: (value: FieldPathValue<T, N>) => void; tie: ChoiceTie }) => ReactNode
}

/** A choice in a form, a list or joined segments, with what is wrong with it right under it. */
export function Choice<T extends FieldValues, N extends FieldPath<T>>({ control, name, must, children }: ChoiceProps<T, N>) {
  const { field, fieldState } = useController({ control, name, ...(must ? { rules: { validate: must } } : {}) })
  const { field: told, id } = useFieldProblem(fieldState.error?.message)
  return (
    <div>
      {children({ value: field.value, onChange: field.onChange, tie: { ...told, ref: field.ref } })}
      <Problem id={id} className="mt-1 text-[13.5px] leading-[18px]">
        {fieldState.error?.message}
      </Problem>
    </div>
  )
}
