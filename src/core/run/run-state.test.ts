import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { INCIDENT_NAMES, INCIDENTS } from '../../data/incidents'
import { befell, pressed, pressedAt, runOf, showed, takenBack, trayOfBlades, withEvents } from '../../testing/run'
import { createRandom } from '../numeric/random'
import type { Run, RunEvent } from '../shop/run'
import { cutToAnswer, heatingAgain, stillOffOf } from './after-cut'
import { lastUndone } from './live-events'
import { ovenEventsOf } from './oven-events'
import { type OvenKnown, runStateAt } from './run-state'

const shownAs = (shownC: number): OvenKnown => ({ shownC, arrivedS: new Map() })
const run = runOf(trayOfBlades(3))
const ids = ['A1', 'A2', 'A3']
const kindOf = (of: Run, nowS = 1e5, known?: OvenKnown) => runStateAt(of, nowS, known).step?.kind
const soakS = 60 * (run.blades[0]?.soakMin ?? 0)
const lagS = run.blades[0]?.lagS ?? 0

describe('where a run stands', () => {
  it('is what its events say, at any later moment', () => {
    const loaded = withEvents(run, ...pressedAt(run, 10, 60, 2400))
    const state = runStateAt(loaded, 2500)
    expect([state.step?.kind, state.stepIndex, state.inOven, state.out]).toEqual(['full-heat', 3, 3, 0])
    expect(runStateAt(loaded, 99_999).stepIndex).toBe(3)
  })

  it('takes back the last press, minute, reading or incident, and every clock goes back with it', () => {
    const pulling = withEvents(run, ...pressedAt(run, 10, 60, 2400, 3600))
    const due = runStateAt(pulling, 4000).dueS
    const step = pulling.steps[4]?.id ?? ''
    const more = withEvents(pulling, { id: 'm', atS: 4000, kind: 'add-minutes', stepId: step, minutes: 2 })
    expect(runStateAt(more, 4000).dueS).toBe((due ?? 0) + 120)
    expect(runStateAt(withEvents(more, takenBack(4001)), 4001).dueS).toBe(due)
    const cracked = withEvents(pulling, befell(4000, 'cracked', ['A2']))
    expect(runStateAt(cracked, 4000).gone.has('A2')).toBe(true)
    expect(runStateAt(withEvents(cracked, takenBack(4001)), 4001).gone.size).toBe(0)
    const back = runStateAt(withEvents(pulling, takenBack(4000)), 4000)
    expect([back.step?.kind, back.sinceS]).toEqual(['full-heat', 2400])
    // What was written or read by a machine is no press.
    const noted: RunEvent[] = [
      { id: 'n', atS: 4000, kind: 'remark', text: 'thin seam' },
      { id: 's', atS: 4000, kind: 'shows', c: 1049, by: 'controller' },
    ]
    expect(kindOf(withEvents(pulling, ...noted, takenBack(4001)))).toBe('full-heat')
  })

  it('takes one step pressed on two screens as one press, and takes both back with the one that is named', () => {
    const [ready, second] = run.steps
    const two = withEvents(run, pressed(10, ready?.id ?? ''), { ...pressed(11, ready?.id ?? ''), on: 'Tablet' })
    expect(runStateAt(two, 20)).toMatchObject({ stepIndex: 1, sinceS: 10, step: { id: second?.id } })
    const back: RunEvent = { id: 'back', atS: 12, kind: 'take-back', of: two.events.at(-1)?.id ?? '' }
    expect(runStateAt(withEvents(two, back), 20)).toMatchObject({ stepIndex: 0, step: { id: ready?.id } })
  })

  it('takes back the last press that counts, not what a second screen’s press of the same step said of the display', () => {
    const [ready, second] = run.steps
    const twice = { ...pressed(12, ready?.id ?? ''), id: 'twice' }
    const both = withEvents(run, pressed(10, ready?.id ?? ''), pressed(11, second?.id ?? ''), showed(12, 1050), twice)
    const last = lastUndone(both.events)
    expect(last).toMatchObject({ kind: 'confirm', stepId: second?.id })
    const back: RunEvent = { id: 'back', atS: 13, kind: 'take-back', of: last?.id ?? '' }
    expect(runStateAt(withEvents(both, back), 20).step?.id).toBe(second?.id)
  })

  it('takes back what is named, though another screen pressed in the same moment', () => {
    const [ready, second] = run.steps
    const first = pressed(10, ready?.id ?? '')
    const both = withEvents(run, first, pressed(20, second?.id ?? ''))
    const named: RunEvent = { id: 'back', atS: 21, kind: 'take-back', of: both.events[1]?.id ?? '' }
    const remark: RunEvent = { id: 'm', atS: 20.5, kind: 'add-minutes', stepId: run.steps[2]?.id ?? '', minutes: 3 }
    const state = runStateAt(withEvents(both, remark, named), 30)
    expect(state.confirmed.map(one => one.event.id)).toEqual([first.id])
  })

  it('loses no press of a screen whose clock is behind: the step counts after the one before it', () => {
    const [ready, second, third] = run.steps
    const late = withEvents(run, pressed(96, second?.id ?? ''), pressed(100, ready?.id ?? ''))
    const state = runStateAt(late, 120)
    expect(state.confirmed.map(one => [one.step.id, one.atS])).toEqual([
      [ready?.id, 100],
      [second?.id, 100],
    ])
    expect(state.step?.id).toBe(third?.id)
  })

  it('asks nobody to pull a blade that fell before it was pulled; one that fell after stays as it was', () => {
    const pulling = withEvents(run, ...pressedAt(run, 10, 60, 2400, 3600))
    expect(runStateAt(pulling, 4000).step).toMatchObject({ kind: 'pull', bladeIds: ['A1'] })
    const fell = runStateAt(withEvents(pulling, befell(4000, 'dropped', ['A1'])), 4010)
    expect(fell.step).toMatchObject({ kind: 'pull', bladeIds: ['A2'] })
    expect([fell.inOven, fell.out]).toEqual([2, 1])
    // It is looked at, not out of the batch: what comes for it later stays.
    expect(fell.gone.size).toBe(0)
    expect(runStateAt(withEvents(pulling, befell(4000, 'dropped', ['A1']), takenBack(4001)), 4010).step).toMatchObject({
      bladeIds: ['A1'],
    })
    const pulled = withEvents(run, ...pressedAt(run, 10, 60, 2400, 3600, 4000))
    const before = runStateAt(pulled, 4010).step
    expect(runStateAt(withEvents(pulled, befell(4005, 'dropped', ['A1'])), 4010).step).toEqual(before)
  })

  it('counts one press of two tabs once', () => {
    const [first] = run.steps
    const both = withEvents(run, pressed(10, first?.id ?? ''), pressed(10.2, first?.id ?? ''))
    expect(runStateAt(both, 20).stepIndex).toBe(1)
  })

  it('waits for the oven on both sides: 201 is not ready for 185', () => {
    const tempering = withEvents(run, ...run.steps.map((step, i) => pressed(100 * i, step.id)))
    const at = run.steps.findIndex(step => step.kind === 'temper-in')
    const before = { ...tempering, events: tempering.events.slice(0, at) }
    const { wait } = run.steps[at] ?? {}
    if (wait?.kind !== 'oven') throw new Error('a temper waits for its oven')
    const standing = (c: number) => {
      const { ready, oven } = runStateAt(before, 1e5, shownAs(c))
      return [ready, oven]
    }
    expect(standing(wait.atLeastC - 1)).toEqual([false, 'cold'])
    expect(standing(wait.atLeastC + 1)).toEqual([true, null])
    expect(standing(wait.atLeastC + 16)).toEqual([false, 'hot'])
    // Nobody reads it: the judgement is the person's.
    expect(runStateAt(before, 1e5).ready).toBe(true)
  })
})

describe('when a blade is due', () => {
  const atHeat = withEvents(run, ...pressedAt(run, 10, 60, 2400, 7800))

  it('counts from when the blade was at heat, not from a press that came 70 minutes late', () => {
    const arrivedS = new Map(ids.map(id => [id, 3700]))
    const state = runStateAt(atHeat, 7800, { shownC: 1050, arrivedS })
    expect(state.dueS).toBe(3700 + soakS)
    expect(state.remainingS).toBe(3700 + soakS - 7800)
    expect(state.ready).toBe(true)
  })

  it('goes by the press and what the blade lags behind, where no model or log says', () => {
    expect(runStateAt(atHeat, 7800).dueS).toBe(7800 + lagS + soakS)
  })

  it('is not before door, hands and plates are ready, further apart without a helper', () => {
    const pulled = withEvents(atHeat, pressed(9000, run.steps[4]?.id ?? ''))
    const { wait } = run.steps[5] ?? {}
    if (wait?.kind !== 'soak') throw new Error('a pull waits for a soak')
    const arrivedS = new Map(ids.map(id => [id, 3700]))
    expect(runStateAt(pulled, 9001, { shownC: null, arrivedS }).dueS).toBe(9000 + wait.apartAloneS)
    const helped = { ...pulled, people: 2 as const, steps: run.steps.map(apart(40, 95)) }
    expect(runStateAt(helped, 9001, { shownC: null, arrivedS }).dueS).toBe(9040)
    const gone = withEvents(helped, befell(9001, 'helper-gone'))
    expect([runStateAt(gone, 9002, { shownC: null, arrivedS }).dueS, runStateAt(gone, 9002).people]).toEqual([9095, 1])
  })

  it('waits where the plates are too hot, from when that was said', () => {
    const arrivedS = new Map(ids.map(id => [id, 3700]))
    const hot = withEvents(atHeat, befell(8000, 'plates-hot', [], 180))
    expect(runStateAt(hot, 8001, { shownC: null, arrivedS }).dueS).toBe(8180)
  })
})

describe('a hold that was cut', () => {
  const tempering = withEvents(run, ...run.steps.map((step, i) => pressed(100 * (i + 1), step.id)))
  const at = run.steps.findIndex(step => step.kind === 'temper-out')
  const holding = { ...tempering, events: tempering.events.slice(0, at) }
  const sinceS = 100 * at
  const due = runStateAt(holding, sinceS).dueS ?? 0

  it('is longer by what it had no power, and by no more than it had lasted', () => {
    const cut = (atS: number, s: number) => runStateAt(withEvents(holding, befell(atS, 'power-cut', [], s)), atS).dueS
    expect(cut(sinceS + 3000, 1200)).toBe(due + 1200)
    // The cut began while the oven still heated up: that was no hold.
    expect(cut(sinceS + 600, 1800)).toBe(due + 600)
  })

  it('that is still off grows for as long as it is, and is asked about when the oven heats again', () => {
    const off = { ...befell(sinceS + 600, 'controller-error'), stillOff: true } as RunEvent
    const dark = withEvents(holding, off)
    expect([600, 1800, 9000].map(s => runStateAt(dark, sinceS + s).dueS)).toEqual([due, due + 1200, due + 8400])
    expect(stillOffOf(dark)?.id).toBe(off.id)
    const spells = (of: Run) =>
      ovenEventsOf(of, true).flatMap(event => (event.kind === 'no-power' ? [[event.atS, event.untilS]] : []))
    expect(spells(dark)[0]?.[1]).toBeGreaterThan(sinceS + 1e6)
    const again = { ...dark, events: heatingAgain(dark.events, sinceS + 1800) }
    expect(stillOffOf(again)).toBeNull()
    expect(runStateAt(again, sinceS + 9000).dueS).toBe(due + 1200)
    expect(spells(again)).toEqual([[sinceS + 600, sinceS + 1800]])
    const soaking = withEvents(run, ...pressedAt(run, 10, 60, 2400, 3600), { ...off, atS: 4000 })
    expect(cutToAnswer(runStateAt(soaking, 4100))).toBeNull()
    const heats = { ...soaking, events: heatingAgain(soaking.events, 4200) }
    expect(cutToAnswer(runStateAt(heats, 4201))?.seconds).toBe(200)
  })

  it('asks how it goes on while blades are in the oven that hardens, once', () => {
    const soaking = withEvents(run, ...pressedAt(run, 10, 60, 2400, 3600))
    const cut = befell(4000, 'power-cut', [], 600)
    const asked = (of: Run) => cutToAnswer(runStateAt(of, 4001))?.id ?? null
    expect(asked(withEvents(soaking, cut))).toBe(cut.id)
    expect(asked(withEvents(soaking, { ...cut, afterCut: 'go-on' } as RunEvent))).toBeNull()
    expect(asked(withEvents(soaking, befell(4000, 'door-open', [], 60)))).toBeNull()
    // In the temper the hold is longer by what it lost: there is nothing to choose.
    expect(asked(withEvents(holding, befell(sinceS + 3000, 'power-cut', [], 600)))).toBeNull()
    const events = (of: Run) => ovenEventsOf(of, true).filter(event => event.kind === 'anew')
    expect(events(withEvents(soaking, { ...cut, afterCut: 'soak-anew' } as RunEvent))).toHaveLength(1)
    expect(events(withEvents(soaking, { ...cut, afterCut: 'go-on' } as RunEvent))).toHaveLength(0)
  })

  it('is not longer for a leak or a gone helper, nor is a chill in its box for the mains', () => {
    expect(runStateAt(withEvents(holding, befell(sinceS + 600, 'leaked', ['A1'])), sinceS + 600).dueS).toBe(due)
    const cold = run.steps.findIndex(step => step.kind === 'cold-out')
    const chilled = { ...tempering, events: tempering.events.slice(0, cold) }
    const before = runStateAt(chilled, 100 * cold).dueS
    const cut = withEvents(chilled, befell(100 * cold + 900, 'power-cut', [], 600))
    expect(runStateAt(cut, 100 * cold + 900).dueS).toBe(before)
  })
})

const apart =
  (apartS: number, apartAloneS: number) =>
  (step: Run['steps'][number]): Run['steps'][number] =>
    step.wait?.kind === 'soak' ? { ...step, wait: { ...step.wait, apartS, apartAloneS } } : step

describe('a blade that is cracked, lost or set aside', () => {
  const atHeat = withEvents(run, ...pressedAt(run, 10, 60, 2400, 3600))

  it('is in no later step, and what was for it alone is not asked', () => {
    const lost = withEvents(atHeat, befell(3700, 'missing', ['A1']))
    const state = runStateAt(lost, 1e5)
    expect(state.step?.bladeIds).toEqual(['A2'])
    expect([state.inOven, state.out]).toEqual([2, 0])
    const later = state.steps.slice(state.stepIndex)
    expect(later.flatMap(step => step.bladeIds)).not.toContain('A1')
    expect(later.find(step => step.kind === 'inspect')?.bladeIds).toEqual(['A2', 'A3'])
  })

  it('leaves a run that goes on to its end even where it was the last', () => {
    const none = withEvents(atHeat, ...ids.map(id => befell(3700, 'cracked', [id])))
    const { steps, stepIndex } = runStateAt(none, 1e5)
    expect(steps.slice(stepIndex).map(step => step.kind)).toEqual(
      expect.arrayContaining(['oven-off', 'inspect', 'measure']),
    )
    expect(steps.slice(stepIndex).some(step => step.kind === 'pull')).toBe(false)
  })

  it('that only leaked, bent or fell stays in', () => {
    for (const incident of ['leaked', 'torn', 'bent', 'dropped', 'vice-late'] as const)
      expect(runStateAt(withEvents(atHeat, befell(3700, incident, ['A1'])), 3800).gone.size).toBe(0)
  })
})

describe('a thousand mornings in which things go wrong', () => {
  const whole = runOf(trayOfBlades(6))
  const all = whole.blades.map(blade => blade.bladeId)

  /** A run pressed to its end by somebody whose day goes wrong as a seed says. */
  function morning(seed: number): Run {
    const random = createRandom(seed)
    let current: Run = whole
    let nowS = 0
    for (let press = 0; press < 200; press++) {
      nowS += 5 + 300 * random.uniform()
      const state = runStateAt(current, nowS, { shownC: 400 + 800 * random.uniform(), arrivedS: new Map() })
      if (!state.step) break
      const luck = random.uniform()
      const name = INCIDENT_NAMES[Math.floor(random.uniform() * INCIDENT_NAMES.length)] ?? 'leaked'
      const blade = all[Math.floor(random.uniform() * all.length)] ?? 'A1'
      const asks: readonly string[] = INCIDENTS[name].asks
      if (luck < 0.12)
        current = withEvents(current, befell(nowS, name, asks.includes('blades') ? [blade] : [], 60 * random.uniform()))
      else if (luck < 0.18 && press > 0) current = withEvents(current, takenBack(nowS))
      else if (luck < 0.24) current = withEvents(current, showed(nowS, 1000))
      else current = withEvents(current, pressed(nowS, state.step.id))
    }
    return current
  }

  it('end all the same, with every blade accounted for', () => {
    for (let seed = 1; seed <= 1000; seed++) {
      const state = runStateAt(morning(seed), 1e6)
      expect(state.step, `seed ${seed}`).toBeNull()
      // In is nothing, and out is what went in less what was set aside by name.
      expect([state.inOven, state.out + state.gone.size], `seed ${seed}`).toEqual([0, all.length])
      for (const [id, { incident }] of state.gone) {
        expect(all).toContain(id)
        expect(INCIDENTS[incident].does).toBe('aside')
      }
    }
  })

  it('never ask for a blade that is gone (law)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), seed => {
        const { steps, stepIndex, gone } = runStateAt(morning(seed), 1e6)
        return steps.slice(stepIndex).every(step => step.bladeIds.every(id => !gone.has(id)))
      }),
      { numRuns: 50 },
    )
  })
})
