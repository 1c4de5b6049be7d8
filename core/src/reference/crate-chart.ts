import { findBreed } from './find-breed.ts'

/**
 * The size shops name for a breed, a first guess only: it is by length alone, and the tapes decide.
 * Source: handbook 10.2, V46, common practice; the Malamute's is thought too small (V47).
 */
const CHART: Readonly<Record<string, readonly string[]>> = {
  '18': ['Chihuahua'],
  '24': ['Shih Tzu', 'Yorkshire Terrier', 'West Highland White Terrier', 'Poodle, toy', 'Poodle, miniature'],
  '30': ['English Cocker Spaniel', 'American Cocker Spaniel', 'Beagle', 'Staffordshire Bull Terrier'],
  '36': ['Bull Terrier', 'Dalmatian', 'Australian Shepherd'],
  '42': ['Boxer', 'Alaskan Malamute'],
  '48': ['German Shepherd Dog', 'Greyhound', 'Poodle, standard'],
  '54': ['Irish Wolfhound', 'Bullmastiff', 'Great Dane', 'Pyrenean Mountain Dog'],
}

/** What charts say for a breed: the size, and whether practitioners think it too small; `null` where none names it. */
export function crateOfChart(breed: string): { label: string; thoughtTooSmall: boolean } | null {
  const name = findBreed(breed)?.name
  const found = Object.entries(CHART).find(([, names]) => name !== undefined && names.includes(name))
  return found ? { label: found[0], thoughtTooSmall: name === 'Alaskan Malamute' } : null
}
