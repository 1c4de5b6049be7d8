import { useEffect } from 'react'
import { useForm, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form'
import { useKeptDraft } from './use-kept-draft'

/**
 * A form whose fields are kept on this device at the keystroke until it is done with.
 *
 * @param key what it is a draft of; each has its own
 * @param first how it begins
 * @returns the form, and how to begin anew
 */
export function useKeptForm<T extends FieldValues>(
  key: string,
  first: T,
  isOne: (kept: unknown) => kept is T,
): [form: UseFormReturn<T>, beginAnew: () => void] {
  const [draft, keep, forget] = useKeptDraft(key, first, isOne)
  const form = useForm<T>({ defaultValues: draft as DefaultValues<T> })
  const { subscribe, reset } = form
  useEffect(() => {
    const stop = subscribe({ formState: { values: true }, callback: ({ values }) => keep(() => values) })
    return stop
  }, [subscribe, keep])
  const beginAnew = (): void => {
    reset(first)
    forget()
  }
  return [form, beginAnew]
}
