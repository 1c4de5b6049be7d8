import { useFittersQuery } from '../api/queries'
import { settingsChanged } from '../state/settings'
import { useAppDispatch, useAppSelector } from '../state/store'
import { Chip, Group } from './Chip'

/** Names at the bench as chips: one tap says who measures or who holds. */
export function NameChips({ label, role }: { label: string; role: 'fitter' | 'helper' }) {
  const { data: fitters = [] } = useFittersQuery(undefined)
  const chosen = useAppSelector((state) => state.settings[role])
  const dispatch = useAppDispatch()
  const names = [...new Set([...fitters.filter((fitter) => !fitter.left).map((fitter) => fitter.name), ...(chosen ? [chosen] : [])])]
  const set = (name: string): void => void dispatch(settingsChanged({ [role]: name }))
  return (
    <Group label={label}>
      {role === 'helper' && (
        <Chip on={chosen === ''} onClick={() => set('')}>
          nobody
        </Chip>
      )}
      {names.map((name) => (
        <Chip key={name} on={chosen === name} onClick={() => set(name)}>
          {name}
        </Chip>
      ))}
      {names.length === 0 && <span className="text-mute">Take the fitters in under Shop.</span>}
    </Group>
  )
}
