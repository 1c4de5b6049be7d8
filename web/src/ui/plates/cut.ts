import { pathParts, plates, type Form, type PathPart, type PlateSet, type View } from '@merry-tailor/core'

/** A form never changes: what was cut from it or laid on it once is kept as long as the form. */
const sets = new WeakMap<Form, Map<View, PlateSet>>()
const paths = new WeakMap<Form, Map<string, PathPart[]>>()

function kept<K, V>(store: WeakMap<Form, Map<K, V>>, form: Form, key: K, make: () => V): V {
  let own = store.get(form)
  if (!own) store.set(form, (own = new Map<K, V>()))
  let value = own.get(key)
  if (value === undefined) own.set(key, (value = make()))
  return value
}

export const cutOnce = (form: Form, view: View): PlateSet => kept(sets, form, view, () => plates(form, view))

export const layOnce = (form: Form, measure: string, view: View): PathPart[] => kept(paths, form, `${measure} ${view}`, () => pathParts(form, measure, view))
