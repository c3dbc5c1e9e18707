import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, NOW, trayOf, withBlade } from '../../testing/tray'
import type { Stage } from '../shop/route'
import type { Run, RunStep } from '../shop/run'
import { stationStates } from './station-states'
import { bladesOf } from './tray'

const batch = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2 }])
const ids = bladesOf(batch).map(blade => blade.id)

/** A run in the shop that confirmed some steps of these blades, in order. */
const runOf = (kinds: readonly RunStep['kind'][], mode: Run['mode'] = 'shop', bladeIds = ids): Run => ({
  id: 'run',
  batchIds: [batch.id],
  people: 1,
  blades: [],
  startedAt: NOW,
  endedAt: null,
  mode,
  clock: [{ realMs: 0, runS: 0, speed: 1 }],
  steps: kinds.map((kind, i) => ({ id: `s${i}`, kind, wait: null, ovenSetC: 0, bladeIds, station: 'heat', names: {} })),
  events: kinds.map((_, i) => ({ id: `e${i}`, atS: i, kind: 'confirm', stepId: `s${i}` })),
})

const doneOf = (more: Partial<Parameters<typeof stationStates>[0]> = {}) => {
  const of = more.batch ?? batch
  const states = stationStates({ batch: of, group: groupOf(of), runs: [], measured: new Set<Stage>(), ...more })
  return Object.entries(states).flatMap(([name, state]) => (state === 'done' ? [name] : []))
}

describe('what is done at each station', () => {
  it('of an empty batch is the choice of its steel alone', () => {
    expect(doneOf({ batch: trayOf(gradeOf('X65Cr13'), []) })).toEqual(['choose'])
  })

  it('counts packets as wrapped when every one is sealed', () => {
    const sealed = { packet: { sealed: true, leak: null } }
    const half = withBlade(batch, ids[0] as string, sealed)
    expect(doneOf({ batch: half })).not.toContain('wrap')
    expect(doneOf({ batch: withBlade(half, ids[1] as string, sealed) })).toContain('wrap')
  })

  it('follows a run in the shop: loaded blades were wrapped, unclamped ones quenched; all tempers must be out', () => {
    expect(doneOf({ runs: [runOf(['oven-on', 'load'])] })).toEqual(['choose', 'prepare', 'wrap'])
    const quenched = doneOf({ runs: [runOf(['load', 'pull', 'unclamp', 'inspect'])] })
    expect(quenched).toEqual(expect.arrayContaining(['heat', 'plates', 'inspect']))
    expect(quenched).not.toContain('temper')
    const tempers = groupOf(batch).route.tempers.length
    expect(tempers).toBe(2)
    expect(doneOf({ runs: [runOf(['temper-out'])] })).not.toContain('temper')
    expect(doneOf({ runs: [runOf(['temper-out', 'temper-out'])] })).toContain('temper')
  })

  it('takes nothing from practice, nor from a run of other blades', () => {
    expect(doneOf({ runs: [runOf(['load', 'pull', 'unclamp'], 'practice')] })).toEqual(['choose', 'prepare'])
    expect(doneOf({ runs: [runOf(['load', 'pull', 'unclamp'], 'shop', ['another'])] })).toEqual(['choose', 'prepare'])
  })

  it('takes readings after the last temper as a sign that all before them was done', () => {
    const finished = doneOf({ measured: new Set<Stage>(['temper-2']) })
    expect(finished).toEqual(expect.arrayContaining(['wrap', 'heat', 'plates', 'temper', 'measure']))
    expect(doneOf({ measured: new Set<Stage>(['as-quenched']) })).not.toContain('measure')
  })
})
