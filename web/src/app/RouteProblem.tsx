import { useRouteError } from 'react-router'
import { RoomNotThere } from '../state/lazy-room'
import { Snag } from '../ui/State'

const link = 'inline-flex min-h-11 items-center font-bold underline'

/** A screen that broke, or one that could not be fetched: with what to do about it. */
export function RouteProblem() {
  const error = useRouteError()
  const notThere = error instanceof RoomNotThere
  return (
    <div className="p-6">
      <Snag title={notThere ? 'This screen could not be fetched.' : 'This screen broke.'}>
        <p>
          What was pinned is kept.{' '}
          {notThere ? 'The server may be away, or have a newer page than this one: load it again.' : error instanceof Error ? error.message : ''}
        </p>
        <p className="mt-2 flex gap-5">
          <button type="button" className={link} onClick={() => window.location.reload()}>
            Load it again
          </button>
          <a className={link} href="/">
            Back to Today
          </a>
        </p>
      </Snag>
    </div>
  )
}
