import { gearFor, optionsOf, type Suggestion } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useBenchForm, useHitchBand, useOpenTicket } from '../../bench'
import { useShop } from '../../state/use-shop'
import { useToday } from '../../state/use-today'

/** What suits this dog and all it will do, best first. */
export function useSuggestions(): Suggestion[] {
  const { ticket, dog, dogNotes } = useOpenTicket().sheet
  const { form, solved } = useBenchForm()
  const { band } = useHitchBand()
  const { views } = useShop()
  const on = useToday()
  return useMemo(() => {
    const { activities, needs, footing, oneForAll } = ticket
    const options = optionsOf(ticket, on, views, dogNotes)
    return gearFor({ dog, activities, needs, footing, oneForAll, hitch: band, form: solved ? form : null, options })
  }, [ticket, dog, dogNotes, form, solved, band, views, on])
}
