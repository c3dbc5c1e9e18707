import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, NOW, readingOf, trayOf } from '../../testing/tray'
import { trialOutcome } from '../logbook/trial-outcome'
import { batchAimedAt, batchLike } from '../new-batch/new-batch'
import { createRandom } from '../numeric/random'
import { batchSchema } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { routeChanges } from '../steel/compare-routes'
import { bladesOf } from './tray'
import { halvesOf, thingsChanged, trialOf, withTrial } from './trial'

const batch = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 6 }, { mark: 'B', count: 3 }, { mark: 'C' }])
const { route, id } = groupOf(batch)
const hotter = { ...route, austenitizeC: route.austenitizeC + 15 }
let made = 0
const tried = (seed = 1, to = hotter) =>
  withTrial(batch, id, to, { random: createRandom(seed), newId: () => `new-${++made}` })

describe('a trial beside a control', () => {
  it('halves each line by lot, keeps every blade what it was, and changes one thing', () => {
    const after = tried()
    const trial = trialOf(after)
    if (!trial) throw new Error('no trial')
    const { control, changed } = halvesOf(after, trial)
    expect([control.length, changed.length]).toEqual([6, 4])
    expect(changed.map(blade => blade.mark).sort()).toEqual(['AX1', 'AX2', 'AX3', 'BX'])
    expect(new Set([...control, ...changed].map(blade => blade.id))).toEqual(
      new Set(bladesOf(batch).map(blade => blade.id)),
    )
    expect(trial.changes).toEqual([{ what: 'soak-temperature', from: route.austenitizeC, to: route.austenitizeC + 15 }])
    expect(batchSchema.safeParse(after).success).toBe(true)
    expect(trialOf(batch)).toBeNull()
  })

  it('takes every blade of a line as often as another', () => {
    const times = new Map<string, number>()
    for (let seed = 1; seed <= 400; seed++)
      for (const blade of bladesOf(tried(seed)).filter(one => one.mark.startsWith('AX')))
        times.set(blade.id, (times.get(blade.id) ?? 0) + 1)
    // Each of six is taken in half of 400 draws, ± 4 standard deviations of a binomial.
    expect(times.size).toBe(6)
    for (const count of times.values()) expect(Math.abs(count - 200)).toBeLessThan(40)
  })

  it('draws one of each two neighbours: as they are loaded, or by their places on the rack', () => {
    const line = batch.lines.find(one => one.mark === 'A')?.id
    const acrossOf = [0, 200, 40, 120, 80, 160]
    const racked = {
      ...batch,
      blades: batch.blades.map(blade =>
        blade.lineId === line ? { ...blade, rack: { inMm: 100, acrossMm: acrossOf[blade.number - 1] ?? 0 } } : blade,
      ),
    }
    const pairs = (order: readonly number[]) => [0, 2, 4].map(i => order.slice(i, i + 2).map(k => k + 1))
    const byPlace = [...acrossOf.keys()].sort((a, b) => (acrossOf[a] ?? 0) - (acrossOf[b] ?? 0))
    for (const [from, blocks] of [
      [batch, pairs([0, 1, 2, 3, 4, 5])],
      [racked, pairs(byPlace)],
    ] as const)
      for (let seed = 1; seed <= 20; seed++) {
        const after = withTrial(from, id, hotter, { random: createRandom(seed), newId: () => `pair-${++made}` })
        const drawn = new Set(
          bladesOf(after)
            .filter(blade => blade.mark.startsWith('AX'))
            .map(blade => bladesOf(from).find(one => one.id === blade.id)?.record.number),
        )
        for (const block of blocks) expect(block.filter(number => drawn.has(number))).toHaveLength(1)
      }
  })

  it('comes out with the difference of what was read and of the edges that held', () => {
    const after = tried()
    const trial = trialOf(after)
    if (!trial) throw new Error('no trial')
    const { control, changed } = halvesOf(after, trial)
    const stage = 'temper-2' as const
    const read = (blades: typeof control, hrc: number) =>
      blades.map((blade, i) => readingOf(blade.id, hrc + (i % 2) * 0.5, stage))
    const readings = [...read(control, 59), ...read(changed, 60)]
    const { tester } = DEFAULT_WORKSHOP
    const out = trialOutcome(after, trial, { readings, tester })
    expect(out.hardness?.difference).toBeCloseTo(1, 6)
    expect([out.control.hardness.length, out.changed.hardness.length, out.edges]).toEqual([6, 4, null])
    expect(trialOutcome(after, trial, { readings: [], tester }).hardness).toBeNull()
  })

  it('is a trial again in a batch like it, and none where its control stays behind', () => {
    const after = tried()
    const like = batchLike(after, () => `like-${++made}`, 'Again', NOW)
    expect(trialOf(like)?.changes).toEqual(trialOf(after)?.changes)
    const changed = after.groups.find(group => group.trialOf)
    if (!changed) throw new Error('changed')
    const newId = () => `aim-${++made}`
    const alone = batchAimedAt(after, changed.id, { min: 58, max: 59 }, { newId, name: 'Aimed', nowIso: NOW })
    expect(alone.groups.map(group => group.trialOf)).toEqual([undefined])
  })

  it('counts two tempers moved together as one thing, and a soak beside them as two', () => {
    const tempers = route.tempers.map(temper => ({ ...temper, atC: temper.atC + 10 }))
    expect(thingsChanged(routeChanges(route, { ...route, tempers }))).toBe(1)
    expect(thingsChanged(routeChanges(route, { ...hotter, tempers }))).toBe(2)
  })
})
