import type { Form, Place } from '@merry-tailor/core'
import type { ReactNode } from 'react'

/** Plates that are no view of the standing dog: one paw's sole, and the fitter's own hand. */
export type PartPlate = 'paw' | 'hand'

interface Drawing {
  width: number
  height: number
  body: ReactNode
  /** The tape's path for each measure; where the place matters, under measure and place. */
  paths: Readonly<Record<string, string>>
}

const paw: Drawing = {
  width: 170,
  height: 200,
  body: (
    <>
      <path d="M36 96C26 60 40 30 84 28C130 30 142 60 132 96C150 130 132 178 84 178C36 178 18 130 36 96Z" />
      <path d="M84 104C106 104 122 124 120 142C118 160 102 156 84 162C66 156 50 160 48 142C46 124 62 104 84 104Z" fill="var(--plate-far)" />
      <ellipse cx={46} cy={92} rx={14} ry={18} fill="var(--plate-far)" transform="rotate(-18 46 92)" />
      <ellipse cx={69} cy={66} rx={13} ry={18} fill="var(--plate-far)" />
      <ellipse cx={99} cy={66} rx={13} ry={18} fill="var(--plate-far)" />
      <ellipse cx={122} cy={92} rx={14} ry={18} fill="var(--plate-far)" transform="rotate(18 122 92)" />
      <path d="M36 70L32 52L44 66ZM64 46L66 24L74 44ZM94 44L102 24L104 46ZM124 66L136 52L132 70Z" fill="var(--ink)" />
    </>
  ),
  paths: {
    M32: 'M26 100H142',
    M33: 'M84 166V24',
    M34: 'M26 100H142',
    M35: 'M84 166V24',
  },
}

const hand: Drawing = {
  width: 220,
  height: 220,
  body: (
    <>
      <path d="M62 214C56 176 46 150 44 128C34 116 18 104 12 90C12 80 22 78 30 84L54 104V40C54 28 74 28 74 40V26C74 12 96 12 96 26V24C96 10 118 10 118 24V38C118 26 138 26 138 38V132C142 166 136 190 134 214Z" />
      <path d="M74 40V96M96 26V96M118 38V96" fill="none" strokeWidth={1.4} />
      <path d="M168 40C160 40 158 52 158 70V120C156 150 160 190 164 214H190C192 190 190 150 186 120V70C186 52 182 40 176 40Z" />
    </>
  ),
  paths: {
    'M49/index': 'M156 76H188',
    'M49/two': 'M54 72H96',
    'M49/four': 'M54 88H138',
    'M49/hand': 'M155 140H191',
    M49: 'M54 72H96',
  },
}

const DRAWINGS: Readonly<Record<PartPlate, Drawing>> = { paw, hand }

/** How a plate's own size stands to its picture. */
export const ratioOf = (plate: PartPlate): number => DRAWINGS[plate].width / DRAWINGS[plate].height

/** The drawn paw's width to length, nails apart; a dog's own paw is stretched to its form's. */
const DRAWN_PAW = 0.78

function stretchOf(plate: PartPlate, form: Form | null, hind: boolean): number {
  const [across, along] = hind ? [form?.measures.M34, form?.measures.M35] : [form?.measures.M32, form?.measures.M33]
  return plate === 'paw' && across && along ? Math.min(1.25, Math.max(0.75, across.mm / along.mm / DRAWN_PAW)) : 1
}

interface PartPlateProps {
  plate: PartPlate
  measure: string | null
  place?: Place | null
  form?: Form | null
  width: number
  label?: string
}

/** One plate with the path of one tape on it. A left paw is the right one seen in a mirror. */
export function PartPlateDrawing({ plate, measure, place = null, form = null, width, label }: PartPlateProps) {
  const drawing = DRAWINGS[plate]
  const path = measure === null ? undefined : ((place ? drawing.paths[`${measure}/${place}`] : undefined) ?? drawing.paths[measure])
  const mirrored = plate === 'paw' && place?.endsWith('left') === true
  const thick = Math.min(1, 260 / drawing.width) * 9
  const by = stretchOf(plate, form, place?.startsWith('rear') ?? false)
  const middle = drawing.width / 2
  return (
    <svg
      width={width}
      height={width / ratioOf(plate)}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
      className="block"
    >
      <g transform={mirrored || by !== 1 ? `matrix(${mirrored ? -by : by} 0 0 1 ${mirrored ? middle * (1 + by) : middle * (1 - by)} 0)` : undefined}>
        <g fill="var(--plate)" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" strokeLinecap="round">
          {drawing.body}
        </g>
        {path && (
          <g fill="none" className="path-tape">
            <path d={path} stroke="var(--ink)" strokeWidth={thick + 3} strokeLinejoin="round" />
            <path d={path} stroke="var(--tape)" strokeWidth={thick} strokeLinejoin="round" />
            <path d={path} stroke="var(--tape-ink)" strokeWidth={thick * 0.75} strokeDasharray="1.1 5" />
          </g>
        )}
      </g>
    </svg>
  )
}
