import type { Form, Rig } from '@merry-tailor/core'
import { cutOnce } from '../../ui/plates/cut'
import { FLOOR_TAPE } from '../../ui/tape/FloorTape'
import type { DraftNow, Load } from './draft-now'

/** One scale for side and plan: px per mm, where the axle stands, and the floor. */
export function draftScale(
  form: Form,
  rig: Rig,
  now: DraftNow,
  loads: readonly Load[],
  width: number,
  height: number,
): { by: number; x0: number; floor: number } {
  const set = cutOnce(form, 'side')
  const wheels = rig.kind === 'wagon' && rig.wheelbaseMm !== null ? -rig.wheelbaseMm - rig.axleMm : -rig.axleMm
  const behind = Math.min(rig.bed.fromMm, wheels) - 60
  const ahead = set.box.right + now.offsetMm + 40
  const tall = Math.max(set.box.top, ...loads.map((load) => load.heightMm * 2 - rig.bed.heightMm), rig.bed.heightMm) + 60
  const by = Math.min((width - 20) / (ahead - behind), (height - FLOOR_TAPE - 12) / tall)
  return { by, x0: width / 2 - ((behind + ahead) / 2) * by, floor: height - FLOOR_TAPE }
}
