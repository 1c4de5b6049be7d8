import { typicalForm, type About, type Body, type Form, type FormQuestion, type FormReading } from '@merry-tailor/core'
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import { answerTo, ask, keyOf, subscribe } from './form-desk'

const NO_QUESTION: FormQuestion = {}

/**
 * The solved form of a body, with its cross-check and the next tape; `null` until the first answer.
 * While a new one is worked out the last stays, so that plates change shape and never blink.
 *
 * @param channel newer questions of one channel cancel older ones; lists give none
 */
export function useFormReading(body: Body, about: About | null, question: FormQuestion = NO_QUESTION, channel: string | null = null): FormReading | null {
  const key = useMemo(() => keyOf({ body, about, question }), [body, about, question])
  const answer = useSyncExternalStore(subscribe, () => answerTo(key))
  const [last, setLast] = useState<FormReading | null>(null)
  if (answer && answer !== last) setLast(answer)
  useEffect(() => {
    void ask(key, { body, about, question }, channel)
  }, [key, body, about, question, channel])
  return answer ?? last
}

/** The form alone: solved as soon as may be, the build's middle dog until then. */
export function useForm(body: Body, about: About | null, channel: string | null = null): Form {
  const reading = useFormReading(body, about, NO_QUESTION, channel)
  return useMemo(() => reading?.form ?? typicalForm(about), [reading, about])
}
