import { z } from 'zod'
import { Day, Id, Moment, line, notes } from './ids.schema.ts'
import { DOG_NOTE_KINDS, PHOTO_TYPES, PHOTO_VIEWS } from './lists.ts'

/** Notes a later measuring must know of (handbook 4.7), and events after which a dog is measured anew (4.8). */
export const DogNoteKind = z.enum(DOG_NOTE_KINDS)
export type DogNoteKind = z.infer<typeof DogNoteKind>

export const NewDogNote = z.object({ kind: DogNoteKind, text: notes(500), on: Day, at: Moment, by: line(60) })
export type NewDogNote = z.infer<typeof NewDogNote>
export const DogNote = NewDogNote.extend({ id: Id, over: Day.nullable() })
export type DogNote = z.infer<typeof DogNote>
/** A note can only be closed: the day from which it is over. */
export const DogNoteFields = z.object({ over: Day.nullable() })

/** Views a customer is asked for (handbook 11). A photograph is kept with the record; it is never evidence of fit. */
export const PhotoView = z.enum(PHOTO_VIEWS)
export type PhotoView = z.infer<typeof PhotoView>
export const Photo = z.object({ id: Id, view: PhotoView, at: Moment, by: z.string(), type: z.enum(PHOTO_TYPES), bytes: z.int() })
export type Photo = z.infer<typeof Photo>
