import { NumberEntry } from '../../length-entry'

/** A grade as a fitter says it, so much up per hundred along. */
export const GradeField = ({ value, onSet }: { value: number; onSet: (percent: number) => void }) => (
  <NumberEntry
    label="Grade, up in a hundred; minus is down"
    value={value}
    onSet={onSet}
    least={-30}
    most={30}
    problem="From -30 to 30: steeper no cart is drawn."
  />
)
