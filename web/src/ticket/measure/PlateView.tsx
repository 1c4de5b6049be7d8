import { figure } from '@merry-tailor/core'
import { useMemo } from 'react'
import { AbovePlate, FrontPlate } from '../../ui/plates/SmallPlates'
import { SidePlate } from '../../ui/plates/SidePlate'
import { useBox } from '../../ui/use-width'
import { useOpenTicket } from '../TicketFrame'
import type { TapeRow } from './use-tapes'

export type PlateSide = 'side' | 'above' | 'front'

/** The mat with this dog's plates: the side large, above and front small; F turns it. */
export function PlateView({
  rows,
  active,
  doubled,
  side,
  phone = false,
}: {
  rows: readonly TapeRow[]
  active: string
  doubled: boolean
  side: PlateSide
  phone?: boolean
}) {
  const { body, sheet } = useOpenTicket()
  const [ref, { width, height }] = useBox<HTMLDivElement>(phone ? 390 : 548, phone ? 240 : 378)
  const form = useMemo(() => figure(body, sheet.dog), [body, sheet.dog])
  const others = rows.map((row, i) => ({ measure: row.tape.measure, row: i + 1, doubt: row.doubt, seen: row.agreed !== undefined })).filter((row) => row.seen)
  return (
    <div ref={ref} className="mat relative min-h-0 flex-1 overflow-hidden">
      {side === 'side' && (
        <SidePlate
          body={body}
          about={sheet.dog}
          active={active}
          others={phone ? [] : others}
          width={width}
          height={height}
          top={phone ? 4 : 62}
          stand={!phone}
          phone={phone}
        />
      )}
      {side === 'above' && (
        <div className="flex h-full items-center justify-center pt-8">
          <AbovePlate active={active} doubled={doubled} width={width * 0.86} />
        </div>
      )}
      {side === 'front' && (
        <div className="flex h-full items-center justify-center">
          <FrontPlate active={active} doubled={doubled} ears={form.ears} height={height * 0.9} />
        </div>
      )}
      {!phone && side === 'side' && (
        <>
          <div className="absolute top-3.5 left-[18px]">
            <p className="text-[14.5px] font-bold">From above</p>
            <AbovePlate active={active} doubled={doubled} width={width * 0.4} />
          </div>
          <div className="absolute right-3 bottom-[14px] flex flex-col items-center">
            <p className="mb-0.5 text-[14.5px] font-bold">From the front</p>
            <FrontPlate active={active} doubled={doubled} ears={form.ears} height={height * 0.34} />
          </div>
        </>
      )}
      {side !== 'side' && <p className="absolute top-3.5 left-[18px] text-[14.5px] font-bold">{side === 'above' ? 'From above' : 'From the front'}</p>}
    </div>
  )
}
