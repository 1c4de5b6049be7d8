import type { ForetoldPair, Grade, Prediction } from '@merry-tailor/core'
import type { Db } from './open.ts'
import { standing } from './standing.ts'

type PairRow = Omit<ForetoldPair, 'predicted' | 'dog'> & { dog: string | null; foretold: string }

const WORST: readonly Grade[] = ['fails', 'doubt', 'holds']

/** What was foretold of a check in a state; strap by strap the worst of them counts. */
function foretoldOf({ checks }: Prediction, check: string, state: string): Grade {
  const own = checks.filter((each) => each.check === check && each.state === state).map(({ grade }) => grade)
  return WORST.find((grade) => own.includes(grade)) ?? 'none'
}

/** Every check that was foretold when its round began and answered in it, by its newest answer that stands; newest rounds first. */
export function foretoldPairs(db: Db): ForetoldPair[] {
  const rows = db
    .prepare<[], PairRow>(
      `SELECT try_ons.id AS round, try_ons.ticket_id AS ticketId, dogs.name AS dog, try_ons.label, try_ons.at, items.family, try_ons.foretold,
         observations.check_id AS "check", observations.state, observations.grade AS seen
       FROM observations
       JOIN try_ons ON try_ons.id = observations.try_on_id
       JOIN items ON items.id = try_ons.item_id
       JOIN tickets ON tickets.id = try_ons.ticket_id
       LEFT JOIN dogs ON dogs.id = tickets.dog_id
       WHERE try_ons.foretold IS NOT NULL AND ${standing('try_ons.id')} AND ${standing('observations.id')}
         AND NOT EXISTS (SELECT 1 FROM observations AS later WHERE later.try_on_id = observations.try_on_id AND later.check_id = observations.check_id
           AND later.state = observations.state AND later.seq > observations.seq AND ${standing('later.id')})
       ORDER BY try_ons.seq DESC, observations.seq`,
    )
    .all()
  const read = new Map<string, Prediction>()
  return rows.flatMap(({ foretold, dog, ...row }): ForetoldPair[] => {
    let prediction = read.get(row.round)
    if (!prediction) read.set(row.round, (prediction = JSON.parse(foretold) as Prediction))
    const predicted = foretoldOf(prediction, row.check, row.state)
    return predicted === 'none' ? [] : [{ ...row, dog: dog ?? '', predicted }]
  })
}
