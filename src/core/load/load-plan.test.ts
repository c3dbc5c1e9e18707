import { describe, expect, it } from 'vitest'
import { chamberOfSize } from '../../testing/chamber'
import { expectOk, gradeOf, groupOf, NOW, trayOf, withTray } from '../../testing/tray'
import { newGroup } from '../new-batch/new-batch'
import { buildRunSteps, buildTemperRun } from '../run-plan/run-steps'
import { type Batch, batchSchema } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { type Run, type RunEvent, runSchema } from '../shop/run'
import { measuredTrace, readingsOf } from '../trace/run-trace'
import { planTimeline, timelineMin } from '../trace/timeline'
import { loadsOf, temperLoadsOf } from './loads'
import { tempersDone, tempersWaiting } from './tempers-done'

const shop = DEFAULT_WORKSHOP

/** Three blades of two grades: two thin ones, and a stout one that soaks cooler and longer. */
function tray(): Batch {
  const thin = trayOf(gradeOf('X65Cr13'), [])
  const batch = {
    ...thin,
    groups: [{ ...groupOf(thin), id: 'g1' }, newGroup('g2', gradeOf('X105CrMo17'), shop, { thicknessMm: 3.2 })],
  }
  return batchSchema.parse(
    withTray(batch, [
      { mark: 'A', thicknessMm: 2.2, count: 2 },
      { mark: 'C', groupId: 'g2', thicknessMm: 3.2 },
    ]),
  )
}

const runOf = (batch: Batch, events: readonly RunEvent[] = []): Run =>
  runSchema.parse({
    id: 'r',
    batchIds: ['b'],
    startedAt: NOW,
    endedAt: null,
    mode: 'shop',
    people: 1,
    clock: [{ realMs: 1000, runS: 0, speed: 1 }],
    ...expectOk(buildRunSteps(batch, shop)),
    events,
  })

const confirm = (run: Run, ...atS: number[]): RunEvent[] =>
  atS.map((at, i) => ({ id: `e${i}`, atS: at, kind: 'confirm', stepId: run.steps[i]?.id ?? '' }))
const readings = (...read: [number, number][]): RunEvent[] =>
  read.map(([atS, c], i) => ({ id: `r${i}`, atS, kind: 'shows', c, by: 'hand' }))

describe('the tray', () => {
  it('loads the cooler soak first, and the next one straight into the hot oven', () => {
    const loads = loadsOf(tray(), 'metric')
    expect(loads.map(l => l.blades.map(b => b.mark))).toEqual([['C'], ['A1', 'A2']])
    expect(loads.map(l => [Math.round(l.entryC), l.equalise.length])).toEqual([
      [790, 1],
      [1050, 0],
    ])
  })

  it('tempers together what shares temperature and hold', () => {
    const batch = tray()
    const [first, second] = batch.groups
    if (!first || !second) throw new Error('groups')
    const shared = {
      ...batch,
      groups: [first, { ...second, route: { ...second.route, tempers: first.route.tempers } }],
    }
    expect(temperLoadsOf(batch)).toHaveLength(4)
    expect(temperLoadsOf(shared).map(l => [l.round, l.blades.length])).toEqual([
      [1, 3],
      [2, 3],
    ])
  })
})

describe('the timeline', () => {
  const group = tray().groups[0] as Batch['groups'][number]
  const oven = chamberOfSize('medium')
  const plan = (route = group.route) =>
    planTimeline({ route, equalise: [{ atC: 760, holdMin: 10 }], entryC: 760, oven, steelKg: 1, thicknessMm: 2.4 })

  it('runs on without a gap, through every station in order', () => {
    const stretches = plan()
    for (const [i, s] of stretches.slice(1).entries()) {
      expect(s.startMin).toBeCloseTo(stretches[i]?.endMin ?? -1, 9)
      expect(s.points[0]?.[0]).toBeCloseTo(s.startMin, 9)
    }
    expect([...new Set(stretches.map(s => s.station))]).toEqual([
      'choose',
      'prepare',
      'wrap',
      'heat',
      'plates',
      'inspect',
      'cold',
      'temper',
      'measure',
      'verdict',
      'finish',
      'prove',
    ])
    expect(Math.max(...stretches.flatMap(s => s.points.map(([, c]) => c)))).toBe(1065)
    expect(Math.min(...stretches.flatMap(s => s.points.map(([, c]) => c)))).toBe(-75)
  })

  it('is a working day long: two tempers of two hours and all before them', () => {
    expect(timelineMin(plan()) / 60).toBeGreaterThan(7)
    expect(timelineMin(plan()) / 60).toBeLessThan(11)
  })

  it('keeps the stations of a route without cold or temper', () => {
    const bare = plan({ ...group.route, cold: null, tempers: [] })
    expect(bare.map(s => s.station)).toEqual(expect.arrayContaining(['cold', 'temper']))
  })
})

describe('the hot run', () => {
  const batch = tray()
  const run = runOf(batch)

  it('moves every packet in once and out once', () => {
    const moved = (kind: string) => run.steps.filter(s => s.kind === kind).flatMap(s => s.bladeIds)
    expect(moved('load').sort()).toEqual(['A1', 'A2', 'C'])
    expect(moved('pull').sort()).toEqual(['A1', 'A2', 'C'])
  })

  it('never pulls a blade before the one in the plates is cool enough to hold', () => {
    const pulls = run.steps.filter(s => s.kind === 'pull' && s.bladeIds.length > 0)
    const { wait } = pulls[2] ?? {}
    const seconds = wait?.kind === 'soak' ? wait.apartS : 0
    // 12 s into the plates, about 30 s there down to 60 °C for 2 mm at 800 W/m²K, 8 s out of them; plates that are warm take longer.
    expect(seconds).toBeGreaterThanOrEqual(48)
    expect(seconds).toBeLessThanOrEqual(90)
  })
})

describe('what was read of the oven', () => {
  const batch = tray()
  const run = runOf(batch)
  // Confirmed as a calm person would: oven on, loaded when there, and so on through the first load.
  const going = {
    ...run,
    events: [
      ...confirm(run, 10, 60, 2600, 3300, 6500),
      ...readings([1500, 640], [4000, 900], [6400, 1046], [6900, 1050]),
    ],
  }

  it('is laid over the plan in order, with now where the run stands', () => {
    const group = batch.groups[1] as Batch['groups'][number]
    const stretches = planTimeline({
      route: group.route,
      equalise: [{ atC: 790, holdMin: 10 }],
      entryC: 790,
      oven: chamberOfSize('medium'),
      steelKg: 1,
      thicknessMm: 3.2,
    })
    const { trace, now } = measuredTrace(going, stretches, new Set(['C']), readingsOf(going), 7000)
    expect(trace.map(point => point.c)).toEqual([640, 900, 1046, 1050])
    for (const [i, point] of trace.slice(1).entries()) expect(point.planMin).toBeGreaterThan(trace[i]?.planMin ?? 0)
    expect(stretches[now?.index ?? -1]?.phase).toBe('soak')
    expect(measuredTrace(going, stretches, new Set(['C']), [], null)).toEqual({ trace: [], now: null })
  })
})

describe('tempers that wait', () => {
  const batch = tray()
  const whole = runOf(batch)
  const ended = { ...whole, events: confirm(whole, ...whole.steps.map((_, i) => i * 100)) }
  const [first, second] = batch.groups
  if (!first || !second) throw new Error('groups')
  const added: Batch = {
    ...batch,
    groups: [
      { ...first, route: { ...first.route, tempers: [...first.route.tempers, { atC: 230, holdMin: 120 }] } },
      second,
    ],
  }

  it('are none before a first run, and none after one that did them all', () => {
    expect(tempersWaiting(batch, [])).toEqual([])
    expect([...tempersDone([ended])]).toEqual([
      ['C', 2],
      ['A1', 2],
      ['A2', 2],
    ])
    expect(tempersWaiting(batch, [ended])).toEqual([])
  })

  it('are the one written in since, for the blades it was written for', () => {
    const waiting = tempersWaiting(added, [ended])
    expect(waiting.map(l => [l.round, l.atC, l.blades.map(b => b.mark)])).toEqual([[3, 230, ['A1', 'A2']]])
    const { steps } = expectOk(buildTemperRun(waiting, shop, batch))
    expect(steps.map(s => s.kind)).toEqual(['temper-start', 'temper-in', 'temper-out', 'measure'])
    const alone = { ...ended, id: 'r2', steps, events: confirm({ ...ended, steps }, 10, 900, 9000, 9100) }
    expect(tempersWaiting(added, [ended, alone])).toEqual([])
  })

  it('are none by practice, and none for a blade that was lost or cracked in the run', () => {
    expect(tempersDone([{ ...ended, mode: 'practice' }]).size).toBe(0)
    const lost: RunEvent = {
      id: 'x',
      atS: 1,
      kind: 'incident',
      incident: 'missing',
      bladeIds: ['A1'],
      seconds: 0,
      text: '',
    }
    const without = { ...ended, events: [...ended.events, lost] }
    expect(tempersWaiting(added, [without]).map(l => l.blades.map(b => b.mark))).toEqual([['A2']])
  })

  it('begin again with a new hardening', () => {
    const hardening = { ...whole, id: 'r3', events: confirm(whole, 10, 60, 2600) }
    expect(tempersDone([ended, hardening]).get('C')).toBe(0)
    expect(tempersDone([ended, hardening]).get('A1')).toBe(2)
  })
})
