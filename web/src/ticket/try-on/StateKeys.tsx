import { Segmented } from '../../ui/controls/Segmented'
import type { TryOnInHand } from './use-try-on'

/** Slack, pulling, moving, each with how many of its checks were seen. */
export const StateKeys = ({ hand: { state, states, turn } }: { hand: TryOnInHand }) => (
  <Segmented label="State" value={state} options={states} onChange={turn} />
)
