import { resources, settingsNow, type FamilyId, type SetOnDog, type Setting } from '@merry-tailor/core'
import type { Db } from './open.ts'
import { recordOf, type Row } from './rows.ts'
import { standing } from './standing.ts'

/** So many sets are offered, the newest first. */
const MOST = 60

type SetRow = Row & { dog: string | null; label: string | null }

/** How a kind’s straps stand on every dog that had it set: the newest of each dog and thing, newest first. */
export function setOnDogs(db: Db, family: FamilyId): SetOnDog[] {
  const rows = db
    .prepare<{ family: string }, SetRow>(
      `SELECT settings.*, dogs.name AS dog,
         (SELECT try_ons.label FROM try_ons WHERE try_ons.item_id = items.id AND ${standing('try_ons.id')} ORDER BY try_ons.seq DESC LIMIT 1) AS label
       FROM settings
       JOIN dogs ON dogs.id = settings.dog_id
       LEFT JOIN items ON items.id = json_extract(settings.of_what, '$.itemId')
       LEFT JOIN pieces ON pieces.id = json_extract(settings.of_what, '$.pieceId')
       WHERE COALESCE(items.family, pieces.family) = @family AND settings.mm IS NOT NULL AND ${standing('settings.id')}
       ORDER BY settings.seq`,
    )
    .all({ family })
  const sets = new Map<string, { settings: Setting[]; dog: string; label: string }>()
  for (const row of rows) {
    const setting = recordOf(resources.settings, row)
    const key = `${setting.dogId} ${JSON.stringify(setting.of)}`
    const set = sets.get(key) ?? { settings: [], dog: row.dog ?? '', label: row.label ?? '' }
    set.settings.push(setting)
    sets.set(key, set)
  }
  return [...sets.values()]
    .flatMap(({ settings, dog, label }): SetOnDog[] => {
      const last = settings.at(-1)
      if (!last || last.dogId === null) return []
      return [{ dogId: last.dogId, dog, of: last.of, family, label, at: last.at, straps: settingsNow(settings, last.of, last.dogId) }]
    })
    .sort((a, b) => b.at.localeCompare(a.at))
    .slice(0, MOST)
}
