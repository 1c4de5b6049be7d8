import { test as base, type Page } from '@playwright/test'
import type { TicketSheet } from '@merry-tailor/core'

export const address = (): string => process.env.MERRY_ADDRESS ?? 'http://127.0.0.1:4787'

/** Every journey runs on loopback alone: a request to anywhere else fails it, and so does an error on the page. */
export const test = base.extend<{ watched: undefined }>({
  baseURL: async ({}, use) => {
    await use(address())
  },
  watched: [
    async ({ page }, use) => {
      const strangers: string[] = []
      const errors: string[] = []
      page.on('request', (request) => {
        const { protocol, hostname } = new URL(request.url())
        const inside = ['data:', 'blob:'].includes(protocol) || ['127.0.0.1', 'localhost', '[::1]'].includes(hostname)
        if (!inside) strangers.push(request.url())
      })
      page.on('pageerror', (error) => errors.push(error.message))
      await use(undefined)
      if (strangers.length > 0) throw new Error(`asked off loopback: ${strangers.join(', ')}`)
      if (errors.length > 0) throw new Error(`broke on the page: ${errors.join(', ')}`)
    },
    { auto: true },
  ],
})

export { expect } from '@playwright/test'

export const sheets = async (state = 'open'): Promise<TicketSheet[]> => (await (await fetch(`${address()}/api/tickets?state=${state}`)).json()) as TicketSheet[]

export async function sheetOf(dog: string, state = 'open'): Promise<TicketSheet> {
  const sheet = (await sheets(state)).find((each) => each.dog?.name === dog)
  if (!sheet) throw new Error(`no ${state} ticket of ${dog}`)
  return sheet
}

/** A fresh ticket with its items, made through the API, so that journeys do not share one. */
export async function freshTicket(items: { family: string; way: string; school?: string | null }[]): Promise<string> {
  const { v7 } = await import('uuid')
  const id = v7()
  const at = new Date().toISOString()
  const put = (path: string, body: unknown) =>
    fetch(`${address()}${path}`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
  await put(`/api/tickets/${id}`, { dogId: null, ownerId: null, kind: 'counter', at, by: 'Test' })
  for (const item of items) await put(`/api/tickets/${id}/items/${v7()}`, { school: null, ...item, at })
  return id
}

export async function setLook(page: Page, settings: object): Promise<void> {
  await page.addInitScript((kept) => {
    if (!localStorage.getItem('merry-tailor-settings')) localStorage.setItem('merry-tailor-settings', JSON.stringify(kept))
  }, settings)
}
