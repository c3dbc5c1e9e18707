import { describe, expect, it } from 'vitest'
import { befell, pressed, pressedAt, runOf, trayOfBlades, withEvents } from '../../testing/run'
import type { Run } from '../shop/run'
import { boardOf, pullTimes } from './board'
import { arrivalsOf } from './follow-oven'
import { runStateAt } from './run-state'

const run = runOf(trayOfBlades(3))
const arrivedS = new Map(['A1', 'A2', 'A3'].map((id, i) => [id, 3000 + 60 * i]))
const boardAt = (of: Run, nowS: number) => boardOf(of, runStateAt(of, nowS, { shownC: null, arrivedS }), nowS, arrivedS)
const placesAt = (of: Run, nowS: number) => boardAt(of, nowS).map(row => row.place)
const [soakS, longestS] = [60 * (run.blades[0]?.soakMin ?? 0), 60 * (run.blades[0]?.longestMin ?? 0)]
const stepOf = (kind: string, nth = 0) => run.steps.filter(step => step.kind === kind)[nth]?.id ?? ''

describe('the board of a run', () => {
  const loaded = withEvents(run, ...pressedAt(run, 10, 60, 2400, 2900))

  it('has each blade where it is, from the bench to the rack', () => {
    expect(placesAt(run, 5)).toEqual(['bench', 'bench', 'bench'])
    expect(placesAt(loaded, 2950)).toEqual(['oven', 'oven', 'oven'])
    expect(placesAt(loaded, 3070)).toEqual(['soaking', 'soaking', 'oven'])
    const dueS = 3000 + soakS
    expect(placesAt(loaded, dueS + 70)).toEqual(['due', 'due', 'soaking'])
    const pulled = withEvents(loaded, pressed(dueS + 80, stepOf('pull')))
    expect(placesAt(pulled, dueS + 90)[0]).toBe('plates')
    const second = withEvents(pulled, pressed(dueS + 200, stepOf('pull', 1)))
    expect(placesAt(second, dueS + 210)).toEqual(['rack', 'plates', 'due'])
    const lost = withEvents(second, befell(dueS + 220, 'missing', ['A3']))
    expect(placesAt(lost, dueS + 230)).toEqual(['rack', 'plates', 'gone'])
    expect(boardAt(lost, dueS + 230)[2]?.next).toBeNull()
  })

  it('counts each soak from its own arrival and stops it at the pull, with what is over', () => {
    const pulled = withEvents(loaded, pressed(3000 + soakS, stepOf('pull')))
    const [a1, a2] = boardAt(pulled, 3060 + longestS + 120)
    expect([a1?.soakedS, a1?.overS]).toEqual([soakS, 0])
    expect([a2?.soakedS, a2?.overS]).toEqual([longestS + 120, 120])
    // What was written down at the pull stands, whatever a model says later.
    const kept = withEvents(loaded, { ...pressed(3000 + soakS, stepOf('pull')), soakedS: 777 } as never)
    expect(boardAt(kept, 9999)[0]?.soakedS).toBe(777)
  })

  it('tells when each will be pulled, one after another', () => {
    const state = runStateAt(loaded, 3100, { shownC: null, arrivedS })
    const times = pullTimes(loaded, state, 3100, arrivedS)
    const [first, second, third] = ['A1', 'A2', 'A3'].map(id => times.get(id) ?? Number.NaN) as [number, number, number]
    expect(first).toBe(3000 + soakS - 3100)
    const wait = loaded.steps.find(step => step.kind === 'pull' && step.bladeIds[0] === 'A2')?.wait
    const apartS = wait?.kind === 'soak' ? wait.apartAloneS : Number.NaN
    expect(second).toBe(Math.max(first + apartS, 3060 + soakS - 3100))
    expect(third - second).toBeGreaterThanOrEqual(apartS - 30)
    expect(boardAt(loaded, 3100)[1]?.next).toEqual({ kind: 'pull', inS: second })
  })

  it('takes the arrivals of the hardening alone from a track', () => {
    const heat = { bladeId: 'A1', leftS: null, peakC: 1065 }
    const track = {
      blades: [
        { ...heat, round: 0, arrivedS: 3000 },
        { ...heat, round: 1, arrivedS: 9000 },
      ],
    }
    expect([...arrivalsOf(track)]).toEqual([['A1', 3000]])
    expect(arrivalsOf(null).size).toBe(0)
  })
})
