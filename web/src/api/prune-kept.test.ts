import { expect, it } from 'vitest'
import { withTestShop } from '../test/shop'
import { deviceStore } from './device-store'
import { SHAPE } from './kept'
import { pruneKept } from './prune-kept'

withTestShop()

it('lets the oldest kept answers go and no other', async () => {
  const db = await deviceStore()
  await db.clear('kept')
  for (let i = 0; i < 9; i++) await db.put('kept', { shape: SHAPE, book: null, seq: i, at: `2026-0${i + 1}-01T09:00:00Z`, data: i }, `/dogs/${i}`)
  await pruneKept(9)
  expect(await db.count('kept')).toBe(9)
  await pruneKept(4)
  expect((await db.getAllKeys('kept')).sort()).toEqual(['/dogs/5', '/dogs/6', '/dogs/7', '/dogs/8'])
})
