import type { FamilyId } from '../model/index.ts'
import type { Remedy, Symptom, SymptomId } from './checks-and-symptoms.ts'
import { allFamilies } from './families/index.ts'

const found = new Map<SymptomId, Symptom>()
for (const { id, symptoms } of allFamilies) {
  for (const symptom of symptoms) found.set(symptom.id, { ...symptom, families: [...(found.get(symptom.id)?.families ?? []), id] })
}

/** Every symptom a family's file has, by its number (handbook 7.3). */
export const symptoms: Readonly<Record<string, Symptom>> = Object.fromEntries([...found].sort(([a], [b]) => a.localeCompare(b)))

/** A remedy by its symptom and its code. */
export const remedyOf = (symptom: string, code: string | null): Remedy | undefined => symptoms[symptom]?.remedies.find((remedy) => remedy.code === code)

/** Symptoms that can show on this family, those named by a failing check first. */
export function symptomsFor(family: FamilyId, first: readonly string[] = []): Symptom[] {
  const all = Object.values(symptoms).filter((symptom) => symptom.families.includes(family))
  return all.sort((a, b) => Number(first.includes(b.id)) - Number(first.includes(a.id)) || a.id.localeCompare(b.id))
}

/** Names of symptoms that misses are foretold by and no family's file has yet. Source: handbook 7.3, common practice; boots and crates from memory, unverified. */
const FORETOLD: Readonly<Partial<Record<SymptomId, string>>> = {
  S42: 'Fingers hardly go under the cinch',
  S46: 'Slips to one side on the way',
  S47: 'Fewer than eight fingers go in at the front',
  S51: 'The hem lies over the tail',
  S52: 'Slides backwards',
  S53: 'The band holds the dog: it freezes',
  S54: 'Slides about sideways',
  S55: 'The edge lies over the sheath: it gets wet',
  S56: 'Steps out of the sleeve',
  S57: 'The front gapes',
  S59: 'The ears stay bare',
  S60: 'The hood is tight',
  S61: 'Rain runs in at the collar',
  S63: 'Rotates on the paw',
  S64: 'Gets lost',
  S65: 'Toes squeezed: it limps',
  S67: 'Too tight above the paw: it swells',
  S69: 'Rear boots too big, front ones right',
  S70: 'Head lowered inside',
  S71: 'Too big: it soils one end',
}

/** What a symptom is called. */
export const symptomName = (id: SymptomId): string => symptoms[id]?.name ?? FORETOLD[id] ?? ''
