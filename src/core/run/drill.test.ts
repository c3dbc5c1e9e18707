import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DRILLS } from '../../data/drill'
import { befell, pressed, runOf, trayOfBlades, withEvents } from '../../testing/run'
import { createRandom } from '../numeric/random'
import type { Run } from '../shop/run'
import { happeningsAt, reportOf, surprisesOf } from './drill'
import { ovenEventsOf } from './oven-events'
import { helperOf } from './practice-helper'
import { recordOf } from './record'
import { runStateAt } from './run-state'

const batch = trayOfBlades(6)
const drillOf = (level: 1 | 2 | 3, seed: number, people: 1 | 2 = 1): Run =>
  runOf(batch, { mode: 'practice', people, drill: { level, seed } })

/** A practice pressed to its end, each step when it is due; each surprise called after so many seconds, or not. */
function practise(run: Run, callsAfterS: number | null, lateS = 0): Run {
  let current = run
  for (let press = 0; press < 300; press++) {
    const at = current.events.at(-1)?.atS ?? 0
    const state = runStateAt(current, at)
    if (!state.step) return current
    const atS = Math.max(at, state.dueS ?? at + 60) + (state.step.kind === 'pull' ? lateS : 0) + 20
    const open = happeningsAt(current, atS).find(one => one.answer === null)
    if (open && callsAfterS !== null) {
      const { incident, bladeId, seconds } = open.surprise
      const calledS = Math.max(at, open.atS + callsAfterS)
      current = withEvents(current, befell(calledS, incident, bladeId ? [bladeId] : [], seconds))
    } else current = withEvents(current, pressed(atS, state.step.id))
  }
  throw new Error('a practice that never ends')
}

describe('surprises', () => {
  it('come from their seed alone, as many as the level has, and each of a kind of its level', () => {
    expect(surprisesOf(drillOf(2, 7))).toEqual(surprisesOf(drillOf(2, 7)))
    expect(surprisesOf(drillOf(2, 7))).not.toEqual(surprisesOf(drillOf(2, 8)))
    expect(surprisesOf(runOf(batch))).toEqual([])
    fc.assert(
      fc.property(
        fc.constantFrom(1 as const, 2 as const, 3 as const),
        fc.integer({ min: 0, max: 1e9 }),
        (level, seed) => {
          const surprises = surprisesOf(drillOf(level, seed))
          const steps = new Set(surprises.map(one => one.stepId))
          return (
            surprises.length === DRILLS[level].surprises &&
            steps.size === surprises.length &&
            surprises.every(one => DRILLS[level].kinds.includes(one.incident) && one.incident !== 'helper-gone')
          )
        },
      ),
      { numRuns: 60 },
    )
  })

  it('are hidden until their step has begun, and are answered by what they are, of the blade they befell', () => {
    const run = drillOf(1, 3)
    const [first] = surprisesOf(run)
    if (!first) throw new Error('surprise')
    expect(happeningsAt(run, 0)).toEqual([])
    const before = run.steps.findIndex(step => step.id === first.stepId)
    const there = withEvents(run, ...run.steps.slice(0, before).map((step, i) => pressed(100 * (i + 1), step.id)))
    const beganS = 100 * before
    expect(happeningsAt(there, beganS + first.afterS - 1)).toEqual([])
    expect(happeningsAt(there, beganS + first.afterS + 1)).toMatchObject([{ atS: beganS + first.afterS, answer: null }])
    const ids = first.bladeId ? [first.bladeId] : []
    const answered = withEvents(there, befell(beganS + 25, first.incident, ids))
    expect(happeningsAt(answered, beganS + 26)[0]?.answer).not.toBeNull()
    const wrong = withEvents(there, befell(beganS + 25, 'coolant-out'))
    expect(happeningsAt(wrong, beganS + 26)[0]?.answer).toBeNull()
  })

  it('befall the oven whether or not anybody calls them', () => {
    const seed = Array.from({ length: 400 }, (_, i) => i).find(one =>
      surprisesOf(drillOf(3, one)).some(s => s.incident === 'power-cut'),
    ) as number
    const [quiet, called] = [null, 40].map(after => practise(drillOf(3, seed), after)) as [Run, Run]
    const spells = (run: Run) => ovenEventsOf(run, false).filter(event => event.kind === 'no-power').length
    expect(spells(quiet)).toBe(spells(called))
    expect(spells(quiet)).toBeGreaterThan(0)
  })
})

describe('how a practice went', () => {
  it('called at once and pulled in time it leaves nothing to train', () => {
    const random = createRandom(1)
    for (let i = 0; i < 20; i++) {
      const report = reportOf(practise(drillOf(2, Math.floor(random.uniform() * 1e6)), 10))
      expect(report.happenings.every(one => one.answer !== null)).toBe(true)
      expect(report.imagined).toBe(0)
      expect(['none', 'in-time']).toContain(report.habit)
    }
  })

  it('names what was missed before what was slow, and what was slow before what was late', () => {
    expect(reportOf(practise(drillOf(2, 5), null)).habit).toBe('see')
    expect(reportOf(practise(drillOf(2, 5), 90)).habit).toBe('quicker')
    expect(reportOf(practise(drillOf(1, 5), 10, 60)).habit).toBe('in-time')
  })

  it('measures each soak against the best there could be', () => {
    const prompt = reportOf(practise(drillOf(1, 5), 10))
    const late = reportOf(practise(drillOf(1, 5), 10, 60))
    expect(prompt.pulls).toHaveLength(6)
    for (const [i, pull] of late.pulls.entries()) {
      expect(pull.bestS).toBe(prompt.pulls[i]?.bestS)
      expect(pull.offS).toBeGreaterThanOrEqual((prompt.pulls[i]?.offS ?? 0) + 59)
    }
  })

  it('says how much sooner than the plates allow a pull came', () => {
    const run = drillOf(1, 5)
    const soon = practise(run, 10)
    const pulls = soon.events.filter(
      event => event.kind === 'confirm' && run.steps.find(step => step.id === event.stepId)?.kind === 'pull',
    )
    const [first, second] = pulls
    if (!first || !second) throw new Error('pulls')
    const hurried = {
      ...soon,
      events: soon.events.map(event => (event === second ? { ...event, atS: first.atS + 5 } : event)),
    }
    const wait = run.steps.filter(step => step.kind === 'pull')[1]?.wait
    const apartS = wait?.kind === 'soak' ? wait.apartAloneS : Number.NaN
    expect(reportOf(hurried).pulls[1]?.tooSoonS).toBeCloseTo(apartS - 5, 6)
    expect(reportOf(soon).pulls.every(pull => pull.tooSoonS === 0)).toBe(true)
  })

  it('has a helper who shuts the vice within seconds, but where it slips, and who is nobody when alone', () => {
    let slips = 0
    for (let seed = 1; seed <= 60; seed++) {
      const run = practise(drillOf(2, seed, 2), 10)
      const slipped = surprisesOf(run).find(one => one.incident === 'vice-late')?.bladeId
      for (const { bladeId, shutS, lateS } of helperOf(run, Number.POSITIVE_INFINITY)) {
        const pulledS = recordOf(run).find(one => one.blade.bladeId === bladeId)?.outS ?? Number.NaN
        if (bladeId === slipped && lateS > 0) slips++
        else expect([shutS - pulledS <= 5, lateS]).toEqual([true, 0])
      }
    }
    expect(slips).toBeGreaterThan(3)
    expect(helperOf(practise(drillOf(2, 3, 1), 10), Number.POSITIVE_INFINITY)).toEqual([])
  })

  it('counts what was called and had not happened', () => {
    const whole = practise(runOf(batch, { mode: 'practice', drill: { level: 1, seed: 5 } }), 10)
    const extra = { ...whole, events: [befell(1, 'coolant-out'), ...whole.events] }
    expect(reportOf(extra).imagined).toBe(1)
  })
})
