import { describe, expect, it } from 'vitest'
import { runOf, trayOfBlades } from '../../testing/run'
import { gradeOf, NOW, readingOf, trayOf, withBlade } from '../../testing/tray'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { OvenLog } from '../shop/oven-log'
import { newLog } from '../trace/oven-log'
import { certificatesOf } from './certificate'

const plain = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 3, thicknessMm: 3, bevels: 'full' }])
const batch = withBlade(plain, 'A2', { tempers: [{ atC: 230, holdMin: 120 }], serial: '26-014' })
const tempers = batch.groups[0]?.route.tempers.length ?? 0
const reading = (bladeId: string, hrc: number, more = {}) => readingOf(bladeId, hrc, `temper-${tempers as 2}`, more)
const readings = [
  reading('A2', 60),
  reading('A2', 60.5, { roundFace: { diameterMm: 12.7, shownHrc: 59.5 } }),
  reading('A2', 60, { unchecked: true }),
  reading('A2', 40, { deletedAt: NOW }),
  reading('A1', 55),
]
const picture = (bladeId: string) => ({ bladeId, of: 'edge' as const, at: NOW, note: '', sha256: 'a'.repeat(64) })
const pictures = [picture('A2'), picture('A1')]
const of = (mark: string, logs: readonly OvenLog[] = []) =>
  certificatesOf(
    { batch, shop: DEFAULT_WORKSHOP, readings, runs: [], logs, pictures, experienceOf: () => null },
    NOW,
  ).find(c => c.blade === mark)

describe('a certificate', () => {
  it('holds the blade’s own readings, route and aim, and nothing of another’s or of what was taken out', () => {
    expect(of('A2')).toMatchObject({
      blade: 'A2',
      serial: '26-014',
      grade: 'X65Cr13',
      format: 'tawny-ember-certificate',
      incidents: [],
      soakedMin: null,
    })
    expect(of('A2')?.route.tempers.at(-1)).toEqual({ atC: 230, holdMin: 120 })
    expect(of('A1')?.route.tempers).toHaveLength(tempers)
    expect(of('A2')?.hardness).toHaveLength(1)
    expect(of('A2')?.hardness[0]).toMatchObject({ readings: [60, 60.5, 60], hrc: 60.2 })
    expect(of('Z9')).toBeUndefined()
  })

  it('names its own pictures alone', () => {
    expect(of('A2')?.pictures).toEqual([{ of: 'edge', at: NOW, note: '', sha256: 'a'.repeat(64) }])
    expect(of('A3')?.pictures).toEqual([])
  })

  it('says what a reader must know of the readings: a round face, a tester that was not checked', () => {
    expect(of('A2')?.hardness[0]).toMatchObject({ roundFace: true, uncheckedTester: true })
    expect(of('A1')?.hardness[0]).toMatchObject({ roundFace: false, uncheckedTester: false })
  })

  it('gives the tempers as they were logged, and says of none that it was where no log is', () => {
    const load = { temper: 1, groupIds: ['g'] }
    const log = newLog({ id: 'l', ovenId: 'oven-1', batchId: 'b', load, name: 'log', addedAt: NOW }, [
      [0, 207],
      [150, 207],
      [170, 60],
    ])
    const measured = of('A2', [log])?.measured
    expect(measured?.heat).toBeNull()
    expect(Math.abs((measured?.tempers[0]?.meanC ?? 0) - 207)).toBeLessThan(6)
    expect(measured?.tempers.slice(1).every(t => t === null)).toBe(true)
  })

  it('reads the log of the heat to each blade’s own pull', () => {
    const two = trayOfBlades(2)
    const run = runOf(two)
    // A step each 1,000 s: of two pulls that follow each other the second comes that much later.
    const events = run.steps.map((step, i) => ({
      id: `e${i}`,
      atS: 1000 * (i + 1),
      kind: 'confirm' as const,
      stepId: step.id,
    }))
    const atC = two.groups[0]?.route.austenitizeC ?? 0
    const load = { temper: 0, groupIds: two.groups.map(group => group.id) }
    const log = {
      ...newLog({ id: 'l', ovenId: 'oven-1', batchId: two.id, load, name: 'heat', addedAt: NOW }, [
        [0, atC],
        [300, atC],
      ]),
      loadedMin: 0,
      pulledMin: 60,
    }
    const papers = certificatesOf(
      {
        batch: two,
        shop: DEFAULT_WORKSHOP,
        readings: [],
        runs: [{ ...run, events }],
        logs: [log],
        pictures: [],
        experienceOf: () => null,
      },
      NOW,
    )
    const [first, second] = papers.map(paper => paper.measured.heat?.heldMin ?? 0)
    expect(first).toBeGreaterThan(30)
    // Each is told to the minute.
    expect(Math.abs((second ?? 0) - (first ?? 0) - 1000 / 60)).toBeLessThanOrEqual(1)
  })
})
