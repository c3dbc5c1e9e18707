import { describe, expect, it } from 'vitest'
import { befell, pressed, runOf, takenBack, trayOfBlades, withEvents } from '../../testing/run'
import type { Run } from '../shop/run'
import { correctedEvents, momentWithin, recordOf, roomFor } from './record'
import { runStateAt } from './run-state'

const run = runOf(trayOfBlades(2))
/** Pressed from step to step, each after so many seconds. */
const whole = (everyS: number): Run =>
  withEvents(run, ...run.steps.map((step, i) => pressed(everyS * (i + 1), step.id)))
const atOf = (of: Run, kind: string) => runStateAt(of, 0).confirmed.find(one => one.step.kind === kind)?.atS

describe('what a run was', () => {
  const done = whole(1000)

  it('for each blade: in, out, its soak, cold and tempers', () => {
    const [a1] = recordOf(done)
    expect([a1?.inS, a1?.outS]).toEqual([atOf(done, 'load'), atOf(done, 'pull')])
    const lagS = run.blades[0]?.lagS ?? 0
    expect(a1?.soakedS).toBe((atOf(done, 'pull') ?? 0) - (atOf(done, 'full-heat') ?? 0) - lagS)
    expect(a1?.coldS).toBe(1000)
    expect(a1?.temperS).toEqual([1000, 1000])
    expect([a1?.gone, a1?.incidents]).toEqual([null, []])
  })

  it('has what befell a blade, and none of what was taken back', () => {
    const odd = withEvents(
      run,
      ...done.events.slice(0, 5),
      befell(5100, 'leaked', ['A2']),
      befell(5200, 'cracked', ['A1']),
    )
    expect(recordOf(odd).map(one => [one.gone?.incident, one.incidents.map(i => i.incident)])).toEqual([
      ['cracked', ['cracked']],
      [undefined, ['leaked']],
    ])
    expect(recordOf(withEvents(odd, takenBack(5300)))[0]?.gone).toBeNull()
  })

  it('is corrected by hand where a press was wrong, and what was pressed is kept', () => {
    const press = done.events.find(event => event.kind === 'confirm' && event.stepId === run.steps[2]?.id)
    const id = press?.id ?? ''
    expect(roomFor(done, id)).toEqual({ fromS: 2000, toS: 4000 })
    const once = { ...done, events: correctedEvents(done.events, id, 2500) }
    const twice = { ...done, events: correctedEvents(once.events, id, 2600) }
    expect(atOf(twice, 'load')).toBe(2600)
    expect(twice.events.find(event => event.id === id)).toMatchObject({ atS: 2600, pressedS: 3000 })
    expect(roomFor(done, 'nothing')).toBeNull()
  })

  it('can be told any whole second of its room, the limits as they are shown among them', () => {
    const room = { fromS: 1.4, toS: 4.6 }
    expect([0, 1, 2, 5, 6].map(s => momentWithin(room, s))).toEqual([null, 1.4, 2, 4.6, null])
    expect(momentWithin({ fromS: 9, toS: Number.POSITIVE_INFINITY }, 90_000)).toBe(90_000)
  })
})
