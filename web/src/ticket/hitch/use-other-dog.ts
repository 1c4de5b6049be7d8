import { aboutDog, visitsOf, type Body, type Form } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useDogQuery } from '../../api/queries'
import { useForm } from '../../form'
import { today } from '../../state/today'
import { useShop } from '../../state/use-shop'

const NOBODY: Body = {}

/** The dog beside: its form from its newest tapes, its weight, and where it carries a yoke; `null` until it is known. */
export function useOtherDog(dogId: string | null): { name: string; form: Form; kg: number; carriesMm: number; weighed: boolean } | null {
  const { data } = useDogQuery(dogId ?? '', { skip: dogId === null })
  const rules = useShop()
  const visit = useMemo(() => (data ? visitsOf(data.tickets, rules).at(-1) : undefined), [data, rules])
  const about = useMemo(() => (data ? aboutDog(data.dog, visit?.on ?? today()) : null), [data, visit])
  const form = useForm(visit?.known ?? NOBODY, about, 'other dog')
  if (dogId === null || !data) return null
  const weight = data.dog.weightKg ?? visit?.read.M00?.mm ?? null
  return {
    name: data.dog.name,
    form,
    kg: weight ?? form.measures.M00?.mm ?? 25,
    carriesMm: visit?.read.M46?.mm ?? form.measures.M46?.mm ?? (form.sections.girth.tz + form.sections.girth.uz) / 2,
    weighed: weight !== null,
  }
}
