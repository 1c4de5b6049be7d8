import type { Place } from '@merry-tailor/core'
import type { ReactNode } from 'react'
import type { PlateName } from './plate-of'

type PartPlate = Exclude<PlateName, 'side'>

interface Drawing {
  width: number
  height: number
  body: ReactNode
  /** The tape's path for each measure; where the place matters, under measure and place. */
  paths: Readonly<Record<string, string>>
}

const above: Drawing = {
  width: 258,
  height: 60,
  body: (
    <>
      <path d="M2 21q18 6 42 9q-22 6 -42 10q8 -10 0 -19z" />
      <path d="M40 30C52 12 76 11 104 16C126 19 140 12 160 12C182 12 192 19 200 26V34C192 41 182 48 160 48C140 48 126 41 104 44C76 49 52 48 40 30Z" />
      <path d="M196 24L212 18L210 25M196 36L212 42L210 35" />
      <path d="M196 23C206 19 220 19 228 22L250 26C255 28 255 32 250 34L228 38C220 41 206 41 196 37Z" />
      <path d="M250 26.5C255 28 255 32 250 33.5Z" fill="var(--ink)" />
      <path d="M44 30H178" fill="none" strokeDasharray="4 4" strokeWidth={1.2} />
    </>
  ),
  paths: {
    M01: 'M176 30C178 38 190 42 201 41',
    'M01/whole': 'M201 41C190 42 178 38 176 30C178 22 190 18 201 19',
    M02: 'M203 20C200 26 200 34 203 40',
    M03: 'M190 14C184 24 184 36 190 46',
    M07: 'M156 11C152 22 152 38 156 49',
    M08: 'M136 14C132 24 132 36 136 46',
    M11: 'M172 30C150 36 124 44 104 43',
    M12: 'M104 43C84 46 62 42 44 32',
    M13: 'M160 48C140 48 124 44 104 43C84 46 62 42 44 32',
    M14: 'M172 30H44',
    M15: 'M198 30H44',
    M16: 'M182 30H44',
    M17: 'M164 4C158 18 158 42 164 56',
    M18: 'M128 30C124 38 124 44 128 50',
    M21: 'M96 16C92 24 92 36 96 44',
    M22: 'M74 13C70 24 70 36 74 47',
    M29: 'M108 16C104 24 104 36 108 44',
    M44: 'M160 6V54',
  },
}

const front: Drawing = {
  width: 80,
  height: 190,
  body: (
    <>
      <path d="M16 96C12 130 18 150 22 168L20 184H34L35 150H45L46 184H60L58 168C62 150 68 130 64 96C62 80 18 80 16 96Z" />
      <path d="M20 90C20 78 26 66 40 66C54 66 60 78 60 90C58 104 48 112 40 112C32 112 22 104 20 90Z" />
      <path d="M22 32C22 22 30 16 40 16C50 16 58 22 58 32C58 44 52 50 48 60C46 68 34 68 32 60C28 50 22 44 22 32Z" />
      <ellipse cx={27} cy={186} rx={9} ry={4.5} />
      <ellipse cx={53} cy={186} rx={9} ry={4.5} />
      <g fill="var(--ink)">
        <circle cx={31} cy={36} r={3.6} />
        <circle cx={49} cy={36} r={3.6} />
        <ellipse cx={40} cy={56} rx={5.4} ry={4.6} />
      </g>
      <circle cx={40} cy={105} r={2.6} fill="none" />
    </>
  ),
  paths: {
    M01: 'M18 74C20 90 28 100 40 107',
    'M01/whole': 'M18 74C20 90 28 100 40 107C52 100 60 90 62 74',
    M06: 'M40 104V148',
    M07: 'M14 112C20 122 60 122 66 112',
    M09: 'M40 146C30 136 18 110 17 84',
    M10: 'M40 104V148',
    M13: 'M40 104V148',
    M17: 'M12 138C8 110 14 84 40 78C66 84 72 110 68 138',
    M19: 'M19 84C26 98 54 98 61 84',
    M20: 'M28 132H52',
  },
}

const below: Drawing = {
  width: 258,
  height: 76,
  body: (
    <>
      <path d="M4 36q18 -2 40 -2v8q-22 0 -40 -2z" />
      <path d="M40 38C50 20 72 22 92 26C112 28 134 16 160 16C182 16 194 26 202 34V42C194 50 182 60 160 60C134 60 112 48 92 50C72 54 50 56 40 38Z" />
      <path d="M198 30C208 26 222 28 230 31L250 35C254 37 254 39 250 41L230 45C222 48 208 50 198 46Z" />
      <ellipse cx={166} cy={22} rx={13} ry={7} />
      <ellipse cx={166} cy={54} rx={13} ry={7} />
      <ellipse cx={66} cy={23} rx={16} ry={8} />
      <ellipse cx={66} cy={53} rx={16} ry={8} />
      <path d="M126 38C120 32 112 28 104 27M126 38C120 44 112 48 104 49" fill="none" strokeDasharray="4 4" strokeWidth={1.2} />
      <path d="M194 38H128" fill="none" strokeWidth={1.2} strokeDasharray="2 3" />
      <ellipse cx={82} cy={38} rx={7} ry={2.6} fill="none" strokeWidth={1.2} />
    </>
  ),
  paths: {
    M06: 'M196 38H128',
    M07: 'M152 15C147 26 147 50 152 61',
    M08: 'M128 18C123 28 123 48 128 58',
    M09: 'M168 38C170 46 172 54 170 62',
    M10: 'M196 38H166C146 40 128 46 108 51',
    M13: 'M196 38H166C146 40 128 46 108 51C86 54 64 50 44 40',
    M21: 'M98 25C94 32 94 44 98 51',
    M22: 'M84 24C80 32 80 44 84 52',
    M23: 'M200 38H98',
    M24: 'M158 38H98',
    M29: 'M112 26C108 32 108 44 112 50',
    M30: 'M128 38H90',
  },
}

const head: Drawing = {
  width: 210,
  height: 160,
  body: (
    <>
      <path d="M4 132C18 96 34 70 62 44C74 34 90 32 100 44C112 60 112 84 104 104C96 126 90 142 92 156H8Z" />
      <path d="M56 60C56 40 76 28 102 30C122 32 134 44 144 54L186 66C198 70 202 78 200 86C198 96 186 100 172 102L132 112C112 118 92 116 78 104C64 94 56 78 56 60Z" />
      <path d="M186 66C198 70 202 78 200 84L186 80Z" fill="var(--ink)" />
      <path d="M66 44C62 26 64 12 74 4C84 14 92 26 96 38C90 46 76 50 66 44Z" />
      <circle cx={132} cy={66} r={5} fill="var(--ink)" />
      <path d="M196 94C184 100 170 98 158 92" fill="none" />
    </>
  ),
  paths: {
    M02: 'M50 58C58 84 74 110 98 124',
    M03: 'M16 104C30 128 56 146 88 150',
    M04: 'M104 31C92 50 86 82 92 114',
    M05: 'M20 98C36 74 50 60 68 48',
  },
}

const foreleg: Drawing = {
  width: 150,
  height: 250,
  body: (
    <>
      <path d="M34 4C20 30 18 56 34 82L46 92C40 70 70 62 92 74C104 56 112 30 112 4Z" />
      <path d="M40 78C36 104 48 130 56 156L84 156C92 130 98 104 94 76C82 64 52 64 40 78Z" />
      <path d="M56 150C54 172 56 190 60 212L90 212C90 192 88 172 86 150C78 144 64 144 56 150Z" />
      <path d="M56 206C50 220 52 232 58 234H112C118 226 108 210 94 204C80 198 64 200 56 206Z" />
      <path d="M58 190C52 192 50 198 54 202L60 200Z" />
      <circle cx={44} cy={80} r={3.4} fill="var(--plate)" />
      <circle cx={70} cy={152} r={3.4} fill="var(--plate)" />
      <path d="M4 235H146" />
    </>
  ),
  paths: {
    M25: 'M34 80V234',
    M26: 'M34 80L50 152',
    M28: 'M42 82C52 106 58 130 60 152',
    M31: 'M38 88C52 102 80 102 96 86',
    'M36/front-left': 'M55 180C64 188 80 188 88 178',
    'M36/front-right': 'M55 180C64 188 80 188 88 178',
    M36: 'M55 180C64 188 80 188 88 178',
    M37: 'M30 234V196H52',
    M38: 'M126 234V152',
    M43: 'M20 234V80',
  },
}

const hindLeg: Drawing = {
  width: 170,
  height: 250,
  body: (
    <>
      <path d="M150 4C156 40 150 70 132 96C112 112 84 118 62 108C52 84 62 40 66 4Z" />
      <path d="M62 100C70 122 92 144 118 166L140 152C138 126 132 108 124 94C104 84 76 86 62 100Z" />
      <path d="M114 160C112 182 108 200 104 216L130 216C132 194 138 174 142 154C134 146 120 150 114 160Z" />
      <path d="M88 214C78 222 76 232 82 235H134C138 226 132 214 124 208C112 204 98 206 88 214Z" />
      <path d="M108 196C102 198 100 204 104 207L110 205Z" />
      <circle cx={70} cy={102} r={3.4} fill="var(--plate)" />
      <circle cx={128} cy={160} r={3.4} fill="var(--plate)" />
      <path d="M4 236H166" />
    </>
  ),
  paths: {
    M27: 'M66 104L134 162',
    M36: 'M104 192C112 200 126 200 134 190',
    M37: 'M76 236V202H100',
  },
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

const sitting: Drawing = {
  width: 200,
  height: 240,
  body: (
    <>
      <path d="M20 222C6 214 4 200 12 196C24 206 40 212 54 212V224Z" />
      <path d="M40 224C26 196 36 160 66 136C84 122 96 104 104 82C114 64 132 58 146 68C150 92 150 120 146 146L140 224H122L116 168C112 196 110 210 104 224Z" />
      <path d="M96 224C100 190 84 168 62 172C42 178 34 204 42 224Z" />
      <path d="M100 84C98 60 112 44 134 42C150 42 160 50 166 58L188 66C194 70 194 78 188 82L164 90C150 98 124 98 108 92Z" />
      <path d="M108 58C104 40 108 26 114 20C124 28 130 38 132 46Z" />
      <circle cx={150} cy={62} r={4} fill="var(--ink)" />
      <path d="M4 225H196" />
    </>
  ),
  paths: { M41: 'M180 225V20' },
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

const scale: Drawing = {
  width: 240,
  height: 190,
  body: (
    <>
      <path d="M28 150H212V166H28Z" />
      <path d="M44 166V176M196 166V176" />
      <path d="M92 152H148V164H92Z" fill="var(--ink)" />
      <path d="M70 150L68 96C60 78 66 62 82 60H142C150 52 158 40 168 34L178 22L184 36C194 42 204 46 208 54C206 62 196 64 184 64C178 76 174 90 172 100L174 150H162L158 110H100L84 116V150Z" />
      <path d="M66 72C54 66 46 54 46 42" fill="none" />
      <circle cx={186} cy={46} r={3} fill="var(--ink)" />
    </>
  ),
  paths: { M00: 'M96 158H144' },
}

const DRAWINGS: Readonly<Record<PartPlate, Drawing>> = { above, front, below, head, foreleg, 'hind leg': hindLeg, paw, sitting, hand, scale }

/** How a plate's own size stands to its picture. */
export const ratioOf = (plate: PartPlate): number => DRAWINGS[plate].width / DRAWINGS[plate].height

interface PartPlateProps {
  plate: PartPlate
  measure: string | null
  place?: Place | null
  /** One side is taken and doubled: the other side stays thin. */
  doubled?: boolean
  ears?: 'erect' | 'drop'
  width: number
  label?: string
}

const EARS = {
  erect: 'M22 26L24 4L36 20M58 26L56 4L44 20',
  drop: 'M24 22C14 24 12 40 16 50C22 48 26 38 27 30M56 22C66 24 68 40 64 50C58 48 54 38 53 30',
} as const

/** One plate with the path of one tape on it. A left paw is the right one seen in a mirror. */
export function PartPlateDrawing({ plate, measure, place = null, doubled = false, ears = 'erect', width, label }: PartPlateProps) {
  const drawing = DRAWINGS[plate]
  const whole = measure === 'M01' && !doubled ? drawing.paths['M01/whole'] : undefined
  const path = measure === null ? undefined : (whole ?? (place ? drawing.paths[`${measure}/${place}`] : undefined) ?? drawing.paths[measure])
  const mirrored = plate === 'paw' && place?.endsWith('left') === true
  const thick = Math.min(1, 260 / drawing.width) * (plate === 'above' || plate === 'below' ? 7 : plate === 'front' ? 6.5 : 9)
  return (
    <svg
      width={width}
      height={width / ratioOf(plate)}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
      className="block"
    >
      <g transform={mirrored ? `matrix(-1 0 0 1 ${drawing.width} 0)` : undefined}>
        <g
          fill="var(--plate)"
          stroke="var(--ink)"
          strokeWidth={plate === 'above' || plate === 'front' || plate === 'below' ? 1.7 : 2}
          strokeLinejoin="round"
          strokeLinecap="round"
        >
          {plate === 'front' && ears === 'erect' && <path d={EARS.erect} />}
          {drawing.body}
          {plate === 'front' && ears === 'drop' && <path d={EARS.drop} />}
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
