import type { ActSheet } from './act.ts'

/** A sheet on which nothing was done yet, but for the ticket itself. */
export const noFacts = (): Omit<ActSheet, 'ticket'> => ({
  items: [],
  readings: [],
  choices: [],
  hitches: [],
  setUps: [],
  tryOns: [],
  settings: [],
  acknowledgements: [],
  asWritten: [],
  marks: [],
})
