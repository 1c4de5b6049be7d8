import { pointOn, type Form } from '../form/index.ts'
import type { ClothPoint } from '../pattern/index.ts'
import { halfOf } from './cloth-over.ts'
import type { Garment } from './garment-type.ts'

/** The hood as it is worn: along nape and crown as far as it is long, its face round the head there. */
export function wornHood(form: Form, crownMm: number, backNeck: ClothPoint[], chestNeck: ClothPoint[]): Garment['worn'] {
  const { neckBase, collar, throat, skull, stop } = form.sections
  const row = [neckBase, collar, throat, skull, stop]
  const crown: ClothPoint[] = [[neckBase.tx, 0, neckBase.tz]]
  let left = crownMm
  let face = skull
  for (let i = 1; i < row.length; i++) {
    const [a, b] = [row[i - 1] as typeof skull, row[i] as typeof skull]
    const long = Math.hypot(b.tx - a.tx, b.tz - a.tz)
    const t = Math.min(1, left / Math.max(1e-6, long))
    const mix = (key: keyof typeof a): number => a[key] + (b[key] - a[key]) * t
    face = { tx: mix('tx'), tz: mix('tz'), ux: mix('ux'), uz: mix('uz'), w: mix('w'), v: mix('v'), p: mix('p') }
    crown.push([face.tx, 0, face.tz])
    left -= long
    if (left <= 0) break
  }
  const chin = pointOn(face, -Math.PI / 2)
  return [
    { piece: 'hood', edge: 'crown', points: crown },
    { piece: 'hood', edge: 'face', points: halfOf(face, 12) },
    { piece: 'hood', edge: 'throat', points: [chin, pointOn(throat, -Math.PI / 2), pointOn(collar, -Math.PI / 2), chestNeck[0] ?? chin] },
    { piece: 'hood', edge: 'neck', points: [...backNeck, ...[...chestNeck].reverse()] },
  ]
}
