// @vitest-environment jsdom
import 'fake-indexeddb/auto'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Run } from '../core/shop/run'
import { db } from '../store/database'
import { NewVersion } from './NewVersion'

vi.mock('../offline/newer-version', () => ({
  isNewerWaiting: () => true,
  watchNewer: () => () => undefined,
  keepOffline: async () => undefined,
  changeOver: () => undefined,
}))

const DAY_MS = 86_400_000
const begun = (daysAgo: number, part: Partial<Run> = {}): Run => ({
  id: 'run-1',
  batchIds: ['b1'],
  startedAt: new Date(Date.now() - daysAgo * DAY_MS).toISOString(),
  endedAt: null,
  mode: 'shop',
  people: 1,
  clock: [{ realMs: 0, runS: 0, speed: 1 }],
  steps: [],
  blades: [],
  events: [],
  ...part,
})
const offer = () => screen.queryByRole('button', { name: 'Change over' })

beforeEach(() => db.runs.clear())
afterEach(cleanup)

it('a newer version is not offered while a run goes on in whatever tab, and is once it has ended', async () => {
  await db.runs.put(begun(0.1))
  render(<NewVersion />)
  await new Promise(done => setTimeout(done, 300))
  expect(offer()).toBeNull()
  await db.runs.update('run-1', { endedAt: new Date().toISOString() })
  await waitFor(() => expect(offer()).not.toBeNull())
})

it('once asked, it says that the browser may take its time, and offers nothing more', async () => {
  render(<NewVersion />)
  await waitFor(() => expect(offer()).not.toBeNull())
  fireEvent.click(offer() as HTMLElement)
  expect(screen.getByRole('status').textContent).toContain('within five minutes')
  expect(offer()).toBeNull()
})

it.each([
  ['practice', begun(0.1, { mode: 'practice' })],
  ['a run that was forgotten days ago', begun(3)],
])('%s does not stand in its way', async (_, run) => {
  await db.runs.put(run)
  render(<NewVersion />)
  await waitFor(() => expect(offer()).not.toBeNull())
})
