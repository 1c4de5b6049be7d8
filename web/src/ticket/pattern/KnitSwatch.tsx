import type { GarmentPlan, Swatch } from '@merry-tailor/core'
import { LengthEntry, NumberEntry } from '../../length-entry'
import type { Knit } from './use-knit'

/** A swatch as most yarns say it; what is typed replaces it. */
const USUAL: Swatch = { stitches: 22, widthMm: 100, rows: 30, heightMm: 100, grams: null, multiple: 2, edge: 1 }

/** The washed swatch: counted, measured, weighed. */
export function KnitSwatch({
  plan,
  knit,
  say,
  onChange,
}: {
  plan: GarmentPlan
  knit: Knit
  say: (mm: number) => string
  onChange: (over: Partial<GarmentPlan>) => void
}) {
  const swatch = plan.swatch ?? null
  const set = (over: Partial<Swatch>): void => onChange({ swatch: { ...(swatch ?? USUAL), ...over } })
  const shown = swatch ?? USUAL
  return (
    <section aria-label="Swatch" className="border-b-2 border-ink pb-3">
      <h2 className="pb-1 text-[20px] leading-6">Swatch, washed and dried</h2>
      <div className="grid grid-cols-2 gap-2">
        <NumberEntry label="Stitches" value={shown.stitches} least={1} most={400} problem="From 1 to 400." onSet={(stitches) => set({ stitches })} />
        <LengthEntry label="across" mm={shown.widthMm} least={10} most={2000} onSet={(widthMm) => set({ widthMm })} />
        <NumberEntry label="Rows" value={shown.rows} least={1} most={400} problem="From 1 to 400." onSet={(rows) => set({ rows })} />
        <LengthEntry label="up" mm={shown.heightMm} least={10} most={2000} onSet={(heightMm) => set({ heightMm })} />
        <NumberEntry
          label="Weighs, g (0: not weighed)"
          value={shown.grams ?? 0}
          least={0}
          most={500}
          problem="From 0 to 500 g."
          onSet={(grams) => set({ grams: grams > 0 ? grams : null })}
        />
        <div className="grid grid-cols-2 gap-1">
          <NumberEntry
            label="Repeat"
            value={shown.multiple}
            least={1}
            most={100}
            problem="Whole stitches."
            onSet={(multiple) => set({ multiple: Math.round(multiple) })}
          />
          <NumberEntry label="+ edge" value={shown.edge} least={0} most={100} problem="Whole stitches." onSet={(edge) => set({ edge: Math.round(edge) })} />
        </div>
      </div>
      {swatch === null ? (
        <div className="mt-2 space-y-2">
          <p className="text-[14.5px] leading-[19px]">
            No swatch yet: knit a hand’s breadth in the stitch you will use, wash it, dry it, count it. These are only what most light yarns say.
          </p>
          <button type="button" onClick={() => set({})} className="min-h-11 w-full rounded-[2px] border-2 border-ink bg-panel px-3 text-[15px] font-bold">
            Count with these for now
          </button>
        </div>
      ) : (
        knit.gauge && (
          <>
            <svg aria-hidden width="100%" height={34} className="mt-2 block border-y border-ink">
              <defs>
                <pattern id="stitch" width={12} height={Math.max(6, 12 * (knit.gauge.stitchesPerMm / knit.gauge.rowsPerMm))} patternUnits="userSpaceOnUse">
                  <path d="M1 0L6 7L11 0" fill="none" stroke="var(--ink)" strokeWidth={1.5} />
                </pattern>
              </defs>
              <rect width="100%" height={34} fill="url(#stitch)" />
            </svg>
            <p className="pt-1 text-[14.5px]">
              10 stitches make <b>{say(10 / knit.gauge.stitchesPerMm)}</b>, 10 rows <b>{say(10 / knit.gauge.rowsPerMm)}</b>.
            </p>
          </>
        )
      )}
    </section>
  )
}
