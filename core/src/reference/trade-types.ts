import type { Breed } from './breeds.ts'

/**
 * What people of the trade call dogs that no register knows, with the build and coat they mostly have. Common practice;
 * sizes are not stated, as nobody keeps a standard of them.
 */
export const tradeTypes: readonly Breed[] = [
  { name: 'Alaskan Husky', fci: 0, build: 'nordic', flatFace: false, coat: 'short-double' },
  { name: 'Eurohound', fci: 0, build: 'hound', flatFace: false, coat: 'smooth' },
  { name: 'Greyster', fci: 0, build: 'sighthound', flatFace: false, coat: 'smooth' },
  { name: 'Hound cross, sled', fci: 0, build: 'hound', flatFace: false, coat: 'smooth' },
  { name: 'Lurcher', fci: 0, build: 'sighthound', flatFace: false, coat: 'smooth' },
  { name: 'Longdog', fci: 0, build: 'sighthound', flatFace: false, coat: 'smooth' },
  { name: 'Farm collie', fci: 0, build: 'herding', flatFace: false, coat: 'long' },
]
