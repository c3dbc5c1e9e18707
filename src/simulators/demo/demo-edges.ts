import { bladesOf } from '../../core/batch/tray'
import { editBlade } from '../../core/batch/tray-edit'
import { createRandom } from '../../core/numeric/random'
import type { Batch } from '../../core/shop/batch'
import type { EdgeTest } from '../../core/shop/blade'
import type { Reading } from '../../core/shop/reading'
import type { Story } from './stories'

/** Between the hardness where half of the edges roll and where half chip, HRC, and how sharply they change. */
const GAP_HRC = 1.4
const WIDTH_HRC = 0.35
const DAYS_AFTER_MS = 6 * 86_400_000

const sigmoid = (x: number) => 1 / (1 + Math.exp(-x))

/** A batch whose edges were proved some days later, each beside a control of 59 HRC, as its hardness and a little luck decide. */
export function withEdgeTests(batch: Batch, readings: readonly Reading[], { edges, daysAgo }: Story, day: Date): Batch {
  if (!edges) return batch
  const { kind, amount, edgeDeg, holdsAtHrc } = edges
  const random = createRandom(9000 + daysAgo)
  return bladesOf(batch).reduce((all, blade, i) => {
    const own = readings.filter(reading => reading.bladeId === blade.id && reading.stage !== 'as-quenched')
    if (own.length === 0) return all
    const hrc = own.slice(-3).reduce((sum, reading) => sum + reading.hrc, 0) / Math.min(3, own.length)
    const [chips, rolls] = [hrc - holdsAtHrc - GAP_HRC / 2, holdsAtHrc - GAP_HRC / 2 - hrc].map(x =>
      sigmoid(x / WIDTH_HRC),
    )
    const chipped = random.uniform() < (chips ?? 0)
    const rolled = !chipped && random.uniform() < (rolls ?? 0)
    const test: EdgeTest = {
      id: `edge-${blade.id}`,
      at: new Date(day.getTime() + DAYS_AFTER_MS + i * 600_000).toISOString(),
      kind,
      edgeDeg,
      amount,
      grit: 1000,
      result: chipped ? 'chips' : rolled ? 'rolls' : 'holds',
      ...(chipped ? { where: 'belly' as const, depthMm: 0.3 } : {}),
      ...(i === 0 ? { control: { name: 'Control', hrc: 59, result: 'holds' as const } } : {}),
    }
    return editBlade(all, blade.id, record => ({ ...record, edgeTests: [test] }))
  }, batch)
}
