import { Link } from 'react-router'
import { useFittersQuery } from '../api/queries'
import { settingsChanged } from '../state/settings'
import { useAppDispatch, useAppSelector } from '../state/store'

/** A device nobody gave a name: every reading carries one, so it is asked where the first is pinned. */
export function WhoReads() {
  const { data: fitters = [] } = useFittersQuery(undefined)
  const fitter = useAppSelector((state) => state.settings.fitter)
  const dispatch = useAppDispatch()
  if (fitter !== '') return null
  const names = fitters.filter((each) => !each.left).map((each) => each.name)
  return (
    <section aria-label="Who reads the tape" className="flex shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b-2 border-ink bg-chalk-bg px-4 py-1">
      <p className="font-semibold">Who is at this device?</p>
      {names.map((name) => (
        <button
          key={name}
          type="button"
          onClick={() => dispatch(settingsChanged({ fitter: name }))}
          className="min-h-11 min-w-11 rounded-[2px] border-2 border-ink bg-panel px-3 font-semibold hover:bg-bench"
        >
          {name}
        </button>
      ))}
      {names.length === 0 && (
        <Link to="/settings" className="inline-flex min-h-11 items-center font-semibold underline">
          Take the fitters in under Shop
        </Link>
      )}
    </section>
  )
}
