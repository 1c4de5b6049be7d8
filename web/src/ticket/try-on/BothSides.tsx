/** Left and right are set alike: ink while it is so. */
export function BothSides({ apart, onApart }: { apart: boolean; onApart: (apart: boolean) => void }) {
  return (
    <label className="inline-flex min-h-9 cursor-pointer items-center gap-2 font-bold max-md:min-h-11">
      <input type="checkbox" checked={!apart} onChange={() => onApart(!apart)} className="h-5 w-5 accent-ink" />
      left = right
    </label>
  )
}
