import { disagreements, type ShopFields, type DisagreementId } from '@merry-tailor/core'
import { Segmented } from '../ui/controls/Segmented'

/** Questions practitioners disagree on: both sides, and ours until the shop takes one. */
export function Disagreements({ views, onTake }: { views: ShopFields['views']; onTake: (views: ShopFields['views']) => void }) {
  const take = (id: DisagreementId, side: 'A' | 'B' | ''): void => {
    const rest = Object.fromEntries(Object.entries(views).filter(([key]) => key !== id)) as ShopFields['views']
    onTake(side === '' ? rest : { ...rest, [id]: side })
  }
  return (
    <section aria-label="Where practitioners disagree" className="space-y-3 border-t-2 border-ink pt-3">
      <h2 className="text-[19px] leading-6">Where practitioners disagree</h2>
      <p className="text-mute">Take a side, or leave it to the bench. The other view stays in sight where it matters.</p>
      {disagreements.map(({ id, topic, a, b, ours }) => (
        <div key={id} className="border-b border-rule pb-3">
          <div className="flex flex-wrap items-center justify-between gap-3">
            <span className="font-semibold">{topic}</span>
            <Segmented
              label={topic}
              value={views[id] ?? ''}
              options={[
                { value: 'A', label: 'First' },
                { value: 'B', label: 'Second' },
                { value: '', label: 'By the case' },
              ]}
              onChange={(side) => take(id, side)}
            />
          </div>
          <p className="mt-1 text-[14px] leading-[18px] text-mute">
            <b>First:</b> {a} <b>Second:</b> {b} <b>By the case:</b> {ours}
          </p>
        </div>
      ))}
    </section>
  )
}
