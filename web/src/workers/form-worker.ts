import { readForm, typicalForm, type About, type Body, type ForetellQuestion, type Foretold, type FormQuestion, type FormReading } from '@merry-tailor/core'
import { expose } from 'comlink'
import { answers } from './form-answers'

/** The newest question of each channel; an older one still waiting is dropped. */
const newest = new Map<string, number>()

/** Lets messages that wait come in before the work begins, so that a newer question can cancel this one. */
const breathe = (): Promise<void> => new Promise((done) => setTimeout(done, 0))

/** @returns `null` when a newer question of the same channel came in meanwhile */
async function unlessNewer<T>(channel: string, turn: number, answer: () => T): Promise<T | null> {
  newest.set(channel, Math.max(turn, newest.get(channel) ?? 0))
  await breathe()
  return newest.get(channel) === turn ? answer() : null
}

/** Solves forms beside the page, so that a keystroke never waits. */
const work = {
  ...answers,
  readForm: (channel: string, turn: number, body: Body, about: About | null, question: FormQuestion): Promise<FormReading | null> =>
    unlessNewer(channel, turn, () => readForm(body, about, question)),
  foretell: (channel: string, turn: number, questions: readonly ForetellQuestion[]): Promise<(Foretold | null)[] | null> =>
    unlessNewer(channel, turn, () => answers.foretell(questions)),
  /** Sets the tables up that the first solve needs. */
  warm(): void {
    typicalForm(null)
    readForm({}, null)
  },
}
export type FormWork = typeof work
expose(work)
