import type { Form } from './form-type.ts'
import type { FormPart } from './plates/plate.ts'

/** Which readings vouch for which plate's shape: any of them will do. */
const BY: Readonly<Record<FormPart, readonly string[]>> = {
  neck: ['M01', 'M02', 'M03', 'M05'],
  ribs: ['M07', 'M08', 'M17', 'M29', 'M44'],
  loin: ['M10', 'M11', 'M12', 'M13', 'M14', 'M21', 'M22'],
  haunch: ['M13', 'M14', 'M15', 'M16', 'M42'],
  chest: ['M01', 'M06', 'M10', 'M19', 'M46'],
  head: ['M04', 'M39', 'M42'],
  leg: ['M25', 'M26', 'M43', 'M45', 'M20'],
}

/** Parts of the form that a reading of this dog stands behind; the others follow the kind of dog and are drawn dashed. */
export const vouchedParts = (form: Form): FormPart[] => (Object.keys(BY) as FormPart[]).filter((part) => BY[part].some((id) => form.measures[id]?.taken))
