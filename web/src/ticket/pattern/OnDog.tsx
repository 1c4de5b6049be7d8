import type { Form, Garment } from '@merry-tailor/core'
import { useState } from 'react'
import { useKeys } from '../../state/use-keys'
import { useBox } from '../../ui/use-width'
import { WornView } from './WornViews'

/** The dog in its garment from the side, and from above or the front. */
export function OnDog({ form, garment, name }: { form: Form; garment: Garment; name: string }) {
  const [ref, { width }] = useBox<HTMLDivElement>(300, 200)
  const [view, setView] = useState<'above' | 'front'>('above')
  const turn = (): void => setView((now) => (now === 'above' ? 'front' : 'above'))
  useKeys({ f: turn })
  const above = view === 'above'
  return (
    <div ref={ref} className="mat border-b-2 border-ink">
      <WornView
        form={form}
        garment={garment}
        view="side"
        width={width}
        height={168}
        label={`${name} in it, from the side`}
        title="From the side"
        checks={garment.checks}
      />
      <button
        type="button"
        onClick={turn}
        className="block w-full border-t border-ink text-left"
        aria-label={`From ${above ? 'above; show from the front' : 'the front; show from above'}`}
      >
        <WornView
          form={form}
          garment={garment}
          view={view}
          width={width}
          height={above ? 84 : 140}
          label={`${name} in it, from ${above ? 'above' : 'the front'}`}
          title={above ? 'From above, F turns it' : 'From the front'}
        />
      </button>
    </div>
  )
}
