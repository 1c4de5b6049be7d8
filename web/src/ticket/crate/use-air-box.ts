import { airBox, type CarrierRules, type SizedBody } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useShop } from '../../state/use-shop'
import type { AirState } from './air-state'

export interface AirDog {
  body: SizedBody
  flatFace: boolean
  kg: number | null
  ageWeeks: number | null
}

const rulesOf = ({ lengthB, width, flatFaceShare, refusesFlatFace, leastMm, mostMm }: CarrierRules) => ({
  factors: { ...(lengthB === null ? {} : { lengthB }), ...(width === null ? {} : { width }) },
  ...(flatFaceShare === null ? {} : { flatFaceShare }),
  refusesFlatFace,
  leastMm,
  mostMm,
})

/** The box a flight asks, by the common rule or the carrier's own; `box` is `null` while a tape is missing. */
export function useAirBox({ carrier: carrierName, animals, bedMm }: Pick<AirState, 'carrier' | 'animals' | 'bedMm'>, { body, flatFace, kg, ageWeeks }: AirDog) {
  const { carriers } = useShop()
  const carrier = carriers.find(({ name }) => name === carrierName) ?? null
  const [a, b, c] = (['M42', 'M43', 'M44'] as const).map((id) => body[id]?.mm ?? null)
  const d = Math.max(body.M39?.mm ?? 0, body.M40?.mm ?? 0)
  const box = useMemo(() => {
    if (!a || !b || !c || d <= 0) return null
    try {
      return airBox(
        {
          aMm: a,
          bMm: b,
          cMm: c,
          dMm: d,
          bedMm,
          flatFace,
          animals,
          ...(kg === null ? {} : { heaviestKg: kg }),
          ...(ageWeeks === null ? {} : { ageWeeks }),
          young: ageWeeks !== null && ageWeeks <= 26,
        },
        carrier ? rulesOf(carrier) : {},
      )
    } catch {
      return null
    }
  }, [a, b, c, d, bedMm, flatFace, animals, kg, ageWeeks, carrier])
  return { box, carrier, guessed: ['M42', 'M43', 'M44', 'M39', 'M40'].some((id) => body[id]?.guess) }
}
