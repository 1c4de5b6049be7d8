import { kindOf, type About } from './about.ts'
import { buildTypes } from './build-types.ts'
import type { Fit } from './fit-form.ts'
import { PARAMETERS, vectorOf, withinType } from './parameters.ts'
import type { Form } from './form-type.ts'
import { formOf } from './solve-form.ts'

const known = new Map<string, Form>()

/**
 * The middle dog of the likeliest build, without solving anything: what is drawn in the first frame, until the solved
 * form arrives. Its spreads are those of the build.
 */
export function typicalForm(about: About | null): Form {
  const kind = kindOf(about)
  const build = kind.builds[0] ?? (kind.weightKg && kind.weightKg < 6 ? 'toy' : kind.weightKg && kind.weightKg > 50 ? 'giant' : 'retriever')
  const key = [build, kind.ears, kind.tail, kind.flatFace, kind.sex].join()
  const before = known.get(key)
  if (before) return before
  const type = buildTypes[build]
  const means = kind.flatFace ? { ...type.means, muzzle: 0.2, head: 0.35, skullWidth: 0.76, muzzleDepth: 0.66 } : type.means
  const covariance = new Float64Array(PARAMETERS * PARAMETERS)
  withinType.forEach((sd, i) => (covariance[i * PARAMETERS + i] = sd * sd))
  const fit: Fit = {
    x: vectorOf(means),
    covariance,
    traits: { ears: kind.ears ?? 'drop', sex: kind.sex },
    rows: [],
    leftOut: [],
    weights: [1],
    chi2: 0,
    dof: 0,
  }
  const form = formOf(fit, kind, [build])
  if (known.size > 60) known.clear()
  known.set(key, form)
  return form
}
