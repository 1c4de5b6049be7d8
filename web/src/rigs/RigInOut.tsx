import type { Rig } from '@merry-tailor/core'
import { rigFromJson, rigToJson } from '@merry-tailor/core/formats'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddRigMutation } from '../api/queries'
import { FileButton } from '../ui/controls/FileButton'
import { SaveText } from '../ui/controls/SaveText'
import { problemWords } from '../words/problems'

/** A rig out as JSON, and one of another shop in. */
export function RigInOut({ rig, onMade }: { rig: Rig | undefined; onMade: (id: string) => void }) {
  const [addRig] = useAddRigMutation()
  const [problems, setProblems] = useState<readonly string[]>([])
  const read = async (file: File): Promise<void> => {
    const found = rigFromJson(await file.text())
    if (!found.ok) {
      setProblems(found.problems.map(({ at, message }) => `${at}: ${message}`))
      return
    }
    const id = uuid()
    const { error } = await addRig({ id, body: { ...found.value, at: new Date().toISOString() } })
    setProblems(error ? [`Not kept. ${problemWords(error)}`] : [])
    if (!error) onMade(id)
  }
  return (
    <div className="flex flex-wrap items-center gap-2">
      {rig && (
        <SaveText name={`${rig.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.json`} type="application/json" text={() => rigToJson(rig)}>
          JSON
        </SaveText>
      )}
      <FileButton label="A rig as JSON" accept=".json,application/json" onFile={(file) => void read(file)}>
        Bring a rig in
      </FileButton>
      {problems.length > 0 && (
        <ul role="alert" className="w-full text-[14.5px] font-semibold text-snag">
          {problems.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      )}
    </div>
  )
}
