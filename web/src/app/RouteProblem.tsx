import { useRouteError } from 'react-router'
import { Snag } from '../ui/State'

export function RouteProblem() {
  const error = useRouteError()
  return (
    <div className="p-6">
      <Snag title="This screen broke.">
        <p>What was pinned is kept. {error instanceof Error ? error.message : ''}</p>
        <p className="mt-2">
          <a className="inline-flex min-h-11 items-center font-bold underline" href="/">
            Back to Today
          </a>
        </p>
      </Snag>
    </div>
  )
}
