import type {
  Act,
  Change,
  NewDog,
  NewDogJoin,
  NewDogNote,
  NewFitter,
  NewOwner,
  NewPiece,
  NewCar,
  NewBootOuting,
  NewOuting,
  NewTracing,
  NewRig,
  NewTicket,
  NewWeighing,
  PhotoView,
  SizeTable,
} from '@merry-tailor/core'
import type { BodySheet, KennelImport } from '@merry-tailor/core/formats'

export interface Made<B> {
  id: string
  body: B
}
export interface Changed {
  id: string
  changes: Change[]
}

/** Every write a page can do, by its name, with what it says. */
export interface Writes {
  act: { ticketId: string; act: Act }
  addTicket: Made<NewTicket>
  addDog: Made<NewDog>
  changeDog: Changed
  addDogNote: Made<NewDogNote> & { dogId: string }
  changeDogNote: Changed & { dogId: string }
  addWeighing: Made<NewWeighing> & { dogId: string }
  addOuting: Made<NewOuting> & { dogId: string }
  changeOuting: Changed & { dogId: string }
  addTracing: Made<NewTracing> & { dogId: string }
  changeTracing: Changed & { dogId: string }
  addBootOuting: Made<NewBootOuting> & { dogId: string }
  changeBootOuting: Changed & { dogId: string }
  addDogJoin: Made<NewDogJoin> & { dogId: string }
  changeDogJoin: Changed & { dogId: string }
  addPhoto: { dogId: string; id: string; view: PhotoView; at: string; by: string; picture: Blob }
  removePhoto: { dogId: string; id: string }
  addOwner: Made<NewOwner>
  changeOwner: Changed
  addSizeTable: SizeTable
  changeShop: Change[]
  addFitter: Made<NewFitter>
  changeFitter: Changed
  addPiece: Made<NewPiece>
  changePiece: Changed
  addRig: Made<NewRig>
  changeRig: Changed
  addCar: Made<NewCar>
  changeCar: Changed
  changeBooking: Changed
  takeKennelList: KennelImport
  takeBodySheet: { sheet: BodySheet; ownerId: string }
}
export type WriteName = keyof Writes

/** A write as whoever did it named it. */
export interface NamedWrite {
  endpoint: string
  arg: unknown
}

/** What a write is about, so that what hangs on a refused one is held back. */
export interface Touched {
  /** The record it makes or changes. */
  record: string
  makes: boolean
  /** Records that must be there for it. */
  needs: string[]
}

/** The ids a record points at: whatever in it ends in `Id` and is one, and what a union names. */
const pointsAt = (body: unknown): string[] =>
  typeof body !== 'object' || body === null
    ? []
    : Object.entries(body).flatMap(([field, value]) =>
        typeof value === 'string' && (field.endsWith('Id') || field === 'about') ? [value] : field === 'of' || field === 'settings' ? pointsAt(value) : [],
      )

/** What a write makes or changes, and what it hangs on. */
export function touchedBy({ endpoint, arg }: NamedWrite): Touched {
  switch (endpoint as WriteName) {
    case 'act': {
      const { ticketId, act } = arg as Writes['act']
      if (act.act === 'change') return { record: act.itemId ?? ticketId, makes: false, needs: [ticketId, ...(act.itemId ? [act.itemId] : [])] }
      const round = 'roundId' in act ? [act.roundId] : []
      return { record: act.act === 'answer' ? `answer ${act.id}` : act.id, makes: act.act !== 'answer', needs: [ticketId, ...round, ...(act.act === 'answer' ? [act.id] : []), ...pointsAt(act.body)] } // prettier-ignore
    }
    case 'addTicket':
    case 'addDog':
    case 'addOwner':
    case 'addPiece':
    case 'addRig':
    case 'addCar':
    case 'addFitter': {
      const { id, body } = arg as Made<object>
      return { record: id, makes: true, needs: pointsAt(body) }
    }
    case 'changeDog':
    case 'changeOwner':
    case 'changePiece':
    case 'changeRig':
    case 'changeCar':
    case 'changeBooking':
    case 'changeFitter': {
      const { id, changes } = arg as Changed
      const to = changes.flatMap(({ field, to: value }) => (field.endsWith('Id') && typeof value === 'string' ? [value] : []))
      return { record: id, makes: false, needs: [id, ...to] }
    }
    case 'addDogNote':
    case 'addWeighing':
    case 'addPhoto': {
      const { id, dogId } = arg as { id: string; dogId: string }
      return { record: id, makes: true, needs: [dogId] }
    }
    case 'addBootOuting': {
      const { id, dogId } = arg as Writes['addBootOuting']
      return { record: id, makes: true, needs: [dogId] }
    }
    case 'addTracing': {
      const { id, dogId, body } = arg as Writes['addTracing']
      return { record: id, makes: true, needs: [dogId, ...(body.photoId === null ? [] : [body.photoId])] }
    }
    case 'addOuting': {
      const { id, dogId, body } = arg as Writes['addOuting']
      return { record: id, makes: true, needs: [dogId, ...(body.rigId === null ? [] : [body.rigId])] }
    }
    case 'addDogJoin': {
      const { id, dogId, body } = arg as Writes['addDogJoin']
      return { record: id, makes: true, needs: [dogId, body.otherId] }
    }
    case 'changeDogJoin':
    case 'changeDogNote':
    case 'changeOuting':
    case 'changeTracing':
    case 'changeBootOuting':
    case 'removePhoto': {
      const { id, dogId } = arg as { id: string; dogId: string }
      return { record: id, makes: false, needs: [id, dogId] }
    }
    case 'addSizeTable': {
      const table = arg as SizeTable
      return { record: table.id, makes: true, needs: [] }
    }
    case 'changeShop':
      return { record: 'shop', makes: false, needs: [] }
    case 'takeKennelList':
      return { record: `list ${(arg as KennelImport).dogs[0]?.id ?? ''}`, makes: false, needs: [] }
    case 'takeBodySheet':
      return { record: (arg as Writes['takeBodySheet']).sheet.dog.id, makes: true, needs: [] }
  }
  return { record: endpoint, makes: false, needs: [] }
}
