import type { DogNote, Photo } from './dog-note.schema.ts'
import { bytes, resource } from './resource.ts'

export type { DogNote, DogNoteFields, DogNoteKind, NewDogNote, Photo, PhotoView } from './dog-note.schema.ts'

export const dogNotes = resource<DogNote>({
  name: 'dog-note',
  table: 'dog_notes',
  address: '/dogs/:dogId/notes',
  within: { dogId: 'dog_id' },
  tags: ['Dogs', 'Reminders'],
  columns: { id: 'id', kind: 'kind', text: 'text', on: 'on_day', at: 'at', by: 'by_whom', over: 'over_day' },
  made: 'at',
  defaults: { over: null },
})

/** A photograph as it is kept: its picture beside what is said of it. */
export const photos = resource<Photo & { picture: string }>({
  name: 'photo',
  table: 'photos',
  address: '/dogs/:dogId/photos',
  within: { dogId: 'dog_id' },
  tags: ['Dogs'],
  columns: { id: 'id', view: 'view', type: 'type', at: 'at', by: 'by_whom', picture: bytes('picture') },
  made: 'at',
})
