import type { RigKind } from '@merry-tailor/core'
import { useState } from 'react'
import { useAddRigMutation } from '../api/queries'
import { Picker } from '../ui/controls/Picker'
import { FIRST_RIGS, RIG_NAMES } from './first-rigs'
import { TakeIn } from './TakeIn'

const NOUNS: Readonly<Record<RigKind, readonly [name: string, taken: string]>> = {
  cart: ['Cart', 'a cart'],
  wagon: ['Wagon', 'a wagon'],
  runners: ['Runners', 'runners'],
  drag: ['Drag', 'a drag'],
}

/** Takes a rig in with the usual numbers of its kind. */
export function NewRig({ onMade, known }: { onMade: (id: string) => void; known: number }) {
  const [addRig] = useAddRigMutation()
  const [kind, setKind] = useState<RigKind>('cart')
  return (
    <div className="flex flex-wrap items-start gap-2">
      <Picker
        label="Kind of rig"
        value={kind}
        options={(Object.keys(FIRST_RIGS) as RigKind[]).map((value) => ({ value, label: NOUNS[value][0], note: RIG_NAMES[value] }))}
        onChange={setKind}
      />
      <TakeIn
        key={kind}
        onMade={onMade}
        onTake={(id) => addRig({ id, body: { ...FIRST_RIGS[kind], name: `${NOUNS[kind][0]} ${known + 1}`, at: new Date().toISOString() } })}
      >
        {`Add ${NOUNS[kind][1]}`}
      </TakeIn>
    </div>
  )
}
