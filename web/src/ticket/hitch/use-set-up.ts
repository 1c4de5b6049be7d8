import { draftPlaces, minutesByStep, lockedSetUp, RULES_VERSION, wornFor, type Item, type PairSetUp, type Rig } from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useActs, useBenchForm, useGauge, useOpenTicket } from '../../bench'
import { useDraftStraps } from '../../drafting'
import { useKeptDraft } from '../../state/use-kept-draft'
import { useOnce } from '../../state/use-once'
import { problemWords } from '../../words/problems'
import { draftNow, isDraft, type DraftNow, type DraftState } from './draft-now'
import { asDraft, FRESH, inOrder } from './kept-draft'

type Outcome = { ok: true; now: DraftNow } | { ok: false; says: string }

/** A set-up that no cart is says so, and what was typed stays. */
function outcomeOf(work: () => DraftNow): Outcome {
  try {
    return { ok: true, now: work() }
  } catch (problem) {
    if (!(problem instanceof RangeError)) throw problem
    return { ok: false, says: problem.message.includes('reach') ? 'The shafts do not reach so high or low' : 'These numbers make no cart' }
  }
}

/** What an item draws: as it is being set up on this device, what comes of it, and its locking. */
export function useSetUp(item: Item, rigs: readonly Rig[]) {
  const itemId = item.id
  const { sheet, body } = useOpenTicket()
  const { form } = useBenchForm()
  const gauge = useGauge()
  const acts = useActs()
  const once = useOnce()
  const worn = wornFor(sheet.choices, itemId)
  const newest = sheet.setUps.findLast((each) => !each.struck && each.itemId === itemId)
  const locked = lockedSetUp(sheet, itemId)
  const before = locked ?? newest
  const first = before ? asDraft(before) : FRESH
  const [draft, setDraft] = useKeptDraft<DraftState>(`draft-${itemId}`, first, isDraft)
  const [refused, setRefused] = useState<string | null>(null)
  const rig = rigs.find(({ id }) => id === draft.rigId) ?? rigs[0]
  const straps = useDraftStraps(item, rig)
  const dogKg = body.M00?.mm ?? sheet.dog?.weightKg ?? form.measures.M00?.mm ?? 25
  const hitchMm = draft.hitchMm ?? rig?.hitch.heightMm ?? 285
  const places = useMemo(() => {
    try {
      return draftPlaces({ form, body, gauge, hitchMm })
    } catch (problem) {
      if (problem instanceof RangeError) return null
      throw problem
    }
  }, [form, body, gauge, hitchMm])
  const found = useMemo(() => (rig && places ? outcomeOf(() => draftNow(form, dogKg, rig, draft, places)) : null), [form, dogKg, rig, draft, places])
  const now = found?.ok ? found.now : null
  const pair = before?.pair ?? null
  const isLocked = locked !== undefined && JSON.stringify(asDraft(locked)) === JSON.stringify(inOrder({ ...draft, rigId: rig?.id ?? draft.rigId }))

  /** Keeps the set-up, its rear traces as settings, and the choice of it. */
  const lock = async (withPair: PairSetUp | null = pair): Promise<boolean> => {
    let done = false
    await once(async () => (done = await keep(withPair)))
    return done
  }
  const keep = async (withPair: PairSetUp | null): Promise<boolean> => {
    if (!rig || !now) return false
    const id = uuid()
    const { rearLeftMm, rearRightMm, ...said } = inOrder({ ...draft, rigId: rig.id })
    const told = (error: unknown): boolean => {
      setRefused(error ? `Not kept. ${problemWords(error)} It stays here.` : null)
      return !error
    }
    const begun = sheet.tryOns.find((round) => round.itemId === itemId && !round.struck)?.at ?? null
    const { error } = await acts.setUp(
      {
        itemId,
        pieceId: worn?.kind === 'gear' ? worn.pieceId : null,
        ...said,
        rearMm: { left: rearLeftMm, right: rearRightMm },
        pair: withPair,
        minutes: minutesByStep(straps?.own ?? [], begun),
      },
      id,
    )
    if (!told(error)) return false
    const rear = { left: now.startMm.rear + rearLeftMm, right: now.startMm.rear + rearRightMm }
    const set = straps?.settings.rear
    if (straps && (!set || Math.abs(set.leftMm - rear.left) > 0.5 || Math.abs((set.rightMm ?? set.leftMm) - rear.right) > 0.5)) {
      const even = Math.abs(rear.left - rear.right) < 0.1
      if (!(await straps.set('rear', even ? 'both' : 'left', rear.left))) return false
      if (!even && !(await straps.set('rear', 'right', rear.right))) return false
    }
    const kept = await acts.choose({ kind: 'set-up', setUpId: id, itemId, predicted: [], rulesVersion: RULES_VERSION, overruled: null })
    return told(kept.error)
  }

  return { draft, setDraft, rig, now, says: found && !found.ok ? found.says : null, dogKg, locked, isLocked, pair, lock, refused, straps, body, form }
}
