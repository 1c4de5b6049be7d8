/** From above, over the back, facing right like the side plate. Shows the active path only. */
export function AbovePlate({ active, doubled, width = 258 }: { active: string | null; doubled: boolean; width?: number }) {
  return (
    <svg width={width} height={width * 0.2} viewBox="0 0 258 52" aria-hidden className="block">
      <g fill="var(--plate)" stroke="var(--ink)" strokeWidth={1.7} strokeLinejoin="round">
        <path d="M2 17q18 6 42 9q-22 6 -42 10q8 -10 0 -19z" />
        <path d="M40 26C52 8 76 7 104 12C126 15 140 8 160 8C182 8 192 15 200 22V30C192 37 182 44 160 44C140 44 126 37 104 40C76 45 52 44 40 26Z" />
        <path d="M196 20L212 14L210 21M196 32L212 38L210 31" />
        <path d="M196 19C206 15 220 15 228 18L250 22C255 24 255 28 250 30L228 34C220 37 206 37 196 33Z" />
        <path d="M250 22.5C255 24 255 28 250 29.5Z" fill="var(--ink)" />
      </g>
      {active === 'M14' ? (
        <TapeStroke d="M170 26H44" />
      ) : active === 'M07' ? (
        <TapeStroke d="M156 9V43" />
      ) : active === 'M01' ? (
        <>
          <TapeStroke d="M176 26C178 34 190 38 201 37" />
          <path d={doubled ? 'M176 26C178 18 190 14 201 15' : ''} fill="none" stroke="var(--ink)" strokeWidth={1.6} strokeDasharray="3 3" />
          {!doubled && <TapeStroke d="M176 26C178 18 190 14 201 15" />}
        </>
      ) : active === 'M11' ? (
        <TapeStroke d="M172 26C150 32 124 40 104 39" />
      ) : (
        <path d="M44 26H170" stroke="var(--ink)" strokeWidth={1.3} strokeDasharray="4 4" />
      )}
      {active !== 'M14' && active !== 'M07' && <path d="M44 26H170" stroke="var(--ink)" strokeWidth={1.3} strokeDasharray="4 4" opacity={0.7} />}
    </svg>
  )
}

/** From the front, under the chin. */
export function FrontPlate({ active, doubled, ears, height = 190 }: { active: string | null; doubled: boolean; ears: 'erect' | 'drop'; height?: number }) {
  return (
    <svg width={height * 0.42} height={height} viewBox="0 0 80 190" aria-hidden className="block">
      <g fill="var(--plate)" stroke="var(--ink)" strokeWidth={1.7} strokeLinejoin="round">
        <path d="M16 96C12 130 18 150 22 168L20 184H34L35 150H45L46 184H60L58 168C62 150 68 130 64 96C62 80 18 80 16 96Z" />
        <path d="M20 90C20 78 26 66 40 66C54 66 60 78 60 90C58 104 48 112 40 112C32 112 22 104 20 90Z" />
        {ears === 'erect' ? (
          <path d="M22 26L24 4L36 20M58 26L56 4L44 20" />
        ) : (
          <path d="M24 22C14 24 12 40 16 50C22 48 26 38 27 30M56 22C66 24 68 40 64 50C58 48 54 38 53 30" />
        )}
        <path d="M22 32C22 22 30 16 40 16C50 16 58 22 58 32C58 44 52 50 48 60C46 68 34 68 32 60C28 50 22 44 22 32Z" />
        <ellipse cx={27} cy={186} rx={9} ry={4.5} />
        <ellipse cx={53} cy={186} rx={9} ry={4.5} />
      </g>
      <g fill="var(--ink)">
        <circle cx={31} cy={36} r={3.6} />
        <circle cx={49} cy={36} r={3.6} />
        <ellipse cx={40} cy={56} rx={5.4} ry={4.6} />
      </g>
      {active === 'M01' && (
        <>
          {doubled ? (
            <path d="M62 74C60 90 52 100 42 106" fill="none" stroke="var(--ink)" strokeWidth={1.6} strokeDasharray="3 3" />
          ) : (
            <TapeStroke d="M62 74C60 90 52 100 42 106" />
          )}
          <TapeStroke d="M18 74C20 90 28 100 40 107" />
        </>
      )}
      {(active === 'M06' || active === 'M10' || active === 'M13') && <TapeStroke d="M40 104C40 120 40 134 40 148" />}
      {active === 'M07' && <TapeStroke d="M15 112C20 122 60 122 65 112" />}
      {active && <circle cx={40} cy={105} r={3.6} fill="var(--tape)" stroke="var(--ink)" strokeWidth={1.5} />}
    </svg>
  )
}

function TapeStroke({ d }: { d: string }) {
  return (
    <g fill="none">
      <path d={d} stroke="var(--ink)" strokeWidth={9.5} />
      <path d={d} stroke="var(--tape)" strokeWidth={6.5} />
      <path d={d} stroke="var(--tape-ink)" strokeWidth={5} strokeDasharray="1 5" />
    </g>
  )
}
