import { families } from '@merry-tailor/core'
import { TextField } from '../../ui/controls/TextField'
import type { OfferFace } from '../../words/offer-face'
import type { OrderOptions } from './order-options'

const HINTS: Readonly<Record<keyof OrderOptions, string>> = {
  Rings: 'Back; left and right for a side arm',
  Padding: 'Felt, foam, none',
  Colour: 'As the maker names it',
  Remark: 'Anything the cutter should know',
}

/** Source: V17, handbook 6.1, common practice. */
const CUSTOM_PRICE = 'Made to measure, a pulling harness has been seen at about 25 to 50 dollars; what this maker asks is not in the table.'

/** What the maker is told beside the numbers; all of it can stay empty. */
export function OrderFields({ options, table, onChange }: { options: OrderOptions; table: OfferFace; onChange: (options: OrderOptions) => void }) {
  return (
    <article aria-label="For the order" className="border-[1.5px] border-ink bg-panel px-4 py-3">
      <h2 className="text-[18px] leading-[22px]">For the order</h2>
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        {(['Rings', 'Padding', 'Colour', 'Remark'] as const).map((name) => (
          <TextField
            key={name}
            label={name}
            value={options[name]}
            maxLength={200}
            placeholder={HINTS[name]}
            onChange={(event) => onChange({ ...options, [name]: event.target.value })}
          />
        ))}
      </div>
      {table.price === undefined && families[table.family].shelf === 'pulling' && <p className="mt-2 text-mute">{CUSTOM_PRICE}</p>}
    </article>
  )
}
