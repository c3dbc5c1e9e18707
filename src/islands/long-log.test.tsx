// @vitest-environment jsdom
import 'fake-indexeddb/auto'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest'
import { replaceAll } from '../store/backup'
import { db } from '../store/database'
import { useInHand } from '../store/in-hand'
import { readNewestLog, readShopLog } from '../store/shop-log'
import { makeBigShop } from '../testing/big-shop'
import { preparePage } from '../testing/page'
import { setShop } from '../testing/shop-place'
import BatchesPlace from './batch/BatchesPlace'

// Each small line is computed by itself; here it is counted, not looked at.
vi.mock('./batch/MiniLine', () => ({ MiniLine: () => null }))
vi.mock('./Place', () => import('../testing/shop-place'))

const NOW = new Date()
const made = makeBigShop(100, 5, NOW)
// One reading a blade is enough here, and stored sooner.
const big = { ...made, readings: made.readings.filter((_, i) => i % 5 === 0), runs: [], logs: [] }
beforeAll(async () => {
  preparePage()
  expect((await replaceAll(big)).saved).toBe(true)
  setShop(big.shop)
})
afterEach(cleanup)

const listed = () => screen.getAllByRole('listitem').length

describe('a log of many batches', { timeout: 150_000 }, () => {
  it('is listed from its newest, further back when asked, and searched in all of it', async () => {
    render(<BatchesPlace />)
    await screen.findByRole('button', { name: `Show older ones (${big.batches.length - 60} more)` })
    expect(listed()).toBe(60)
    fireEvent.click(screen.getByRole('button', { name: /Show older ones/ }))
    await waitFor(() => expect(listed()).toBe(big.batches.length))
    fireEvent.change(screen.getByLabelText('Find a batch'), { target: { value: 'lighthouse' } })
    const named = big.batches.filter(batch => batch.name.toLowerCase().includes('lighthouse')).length
    expect(named).toBeGreaterThan(2)
    await waitFor(() => expect(listed()).toBe(named))
    fireEvent.change(screen.getByLabelText('Find a batch'), { target: { value: 'no such knife' } })
    await screen.findByText(/No batch has “no such knife”/)
  })

  it('is in hand as far as it waits for something: unread batches, what changed last, and what is asked for', async () => {
    const oldest = [...big.batches].sort((a, b) => a.updatedAt.localeCompare(b.updatedAt))[0]
    const read = new Set(big.readings.map(reading => reading.batchId))
    const unread = big.batches.filter(batch => !read.has(batch.id)).map(batch => batch.id)
    expect(unread.length).toBeGreaterThan(0)
    function Shown({ also }: { also: readonly string[] }) {
      const inHand = useInHand(also)
      return (
        <p>
          {inHand ? `${inHand.batches.length} batches: ${inHand.batches.map(b => b.id).join(' ')}` : 'waiting'}
          {inHand?.measured.has(unread[0] ?? '') && ', the first unread was read'}
        </p>
      )
    }
    const { rerender } = render(<Shown also={[]} />)
    const first = (await screen.findByText(/batches:/)).textContent ?? ''
    for (const id of unread) expect(first).toContain(id)
    expect(first).not.toContain(oldest?.id)
    expect(Number.parseInt(first, 10)).toBeLessThan(60)
    rerender(<Shown also={[oldest?.id ?? '']} />)
    await screen.findByText(new RegExp(oldest?.id ?? 'none'))
    // Its first reading is heard of, though those without one were looked up past what listens.
    const [some] = big.readings
    if (!some) throw new Error('no reading')
    await db.readings.add({ ...some, id: 'its-first', batchId: unread[0] ?? '' })
    await screen.findByText(/the first unread was read/)
    await db.readings.delete('its-first')
  })

  it('is read from its newest as far as is enough, in the same order as the whole', async () => {
    const { log: whole } = await readShopLog()
    expect(whole.readings).toHaveLength(big.readings.length)
    const asked: number[] = []
    const { log: newest } = await readNewestLog(log => asked.push(log.batches.length) === 1)
    expect(asked).toEqual([40])
    const ids = new Set(newest.batches.map(batch => batch.id))
    const instants = newest.readings.map(reading => reading.at)
    expect(instants).toEqual(whole.readings.filter(one => ids.has(one.batchId)).map(one => one.at))
    expect(instants).toEqual([...instants].sort())
    const [first] = newest.batches
    await db.batches.update(first?.id ?? '', { deletedAt: NOW.toISOString() })
    const looks: number[] = []
    const { log: rest } = await readNewestLog(log => looks.push(log.batches.length) > 9)
    expect(looks).toEqual([39])
    expect(rest.batches).toHaveLength(big.batches.length - 1)
  })

  it('is in hand as far back as before when its newest were deleted', async () => {
    const last = await db.batches.orderBy('updatedAt').reverse().limit(45).primaryKeys()
    await db.batches.bulkUpdate(last.map(key => ({ key, changes: { deletedAt: NOW.toISOString() } })))
    function Shown() {
      const inHand = useInHand()
      return <p>{inHand ? `${inHand.batches.length} in hand` : 'waiting'}</p>
    }
    render(<Shown />)
    const shown = (await screen.findByText(/in hand/)).textContent ?? ''
    expect(Number.parseInt(shown, 10)).toBeGreaterThanOrEqual(40)
  })
})
