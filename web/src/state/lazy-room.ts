import type { ComponentType } from 'react'

/** A room's page that could not be fetched: the server is away, or has a newer page than this one. */
export class RoomNotThere extends Error {}

/** A page that comes when its door is opened: what the router calls `lazy`. */
export const lazyRoom =
  <K extends string>(load: () => Promise<Record<K, ComponentType>>, name: K) =>
  async (): Promise<{ Component: ComponentType }> => {
    try {
      return { Component: (await load())[name] }
    } catch (error) {
      throw new RoomNotThere(error instanceof Error ? error.message : String(error))
    }
  }
