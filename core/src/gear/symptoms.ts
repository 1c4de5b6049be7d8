import type { FamilyId } from '../model/index.ts'
import type { Remedy, Symptom, SymptomId } from './checks-and-symptoms.ts'
import { allFamilies } from './families/index.ts'

const found = new Map<SymptomId, Symptom>()
for (const { id, symptoms } of allFamilies) {
  for (const symptom of symptoms) found.set(symptom.id, { ...symptom, families: [...(found.get(symptom.id)?.families ?? []), id] })
}

/** Every symptom a family's file has, by its number (handbook 7.3). */
export const symptoms: Readonly<Record<string, Symptom>> = Object.fromEntries([...found].sort(([a], [b]) => a.localeCompare(b)))

/** A remedy by its symptom and its code, whichever family words it so. */
export const remedyOf = (symptom: string, code: string | null): Remedy | undefined =>
  allFamilies
    .flatMap((family) => family.symptoms.filter(({ id }) => id === symptom))
    .flatMap(({ remedies }) => remedies)
    .find((remedy) => remedy.code === code)

/** Symptoms that can show on this family, those named by a failing check first. */
export function symptomsFor(family: FamilyId, first: readonly string[] = []): Symptom[] {
  const all = Object.values(symptoms).filter((symptom) => symptom.families.includes(family))
  return all.sort((a, b) => Number(first.includes(b.id)) - Number(first.includes(a.id)) || a.id.localeCompare(b.id))
}

/** What a symptom is called. */
export const symptomName = (id: SymptomId): string => symptoms[id]?.name ?? ''
