import { describe, expect, it } from 'vitest'
import { OUT_STATES } from '../../data/blade-states'
import { FINISH_TASKS } from '../../data/finishing'
import { expectOk, gradeOf, groupOf, NOW, readingOf, trayOf, withBlade } from '../../testing/tray'
import { eachBlade } from '../advice/each-blade'
import { certificatesOf } from '../certificate/certificate'
import { groupHardness } from '../hardness/hardness'
import { loadsOf, temperLoadsOf } from '../load/loads'
import { buildRunSteps } from '../run-plan/run-steps'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { isOut, standing, stateOf, withState } from './blade-state'
import { bladesOf } from './tray'

const batch = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 4 }])
const became = (is: Parameters<typeof withState>[2]['is'], id = 'A2') => withState(batch, id, { is, at: NOW, why: '' })
const marks = (blades: readonly { readonly mark: string }[]) => blades.map(blade => blade.mark)

describe('what a blade came to', () => {
  it('is whole until something is said, then the newest that was said', () => {
    expect(bladesOf(batch).map(({ record }) => stateOf(record))).toEqual(['whole', 'whole', 'whole', 'whole'])
    const twice = withState(became('set-aside'), 'A2', { is: 'finished', at: NOW, why: '' })
    expect(stateOf(twice.blades[1] as never)).toBe('finished')
    expect(twice.blades[1]?.states).toHaveLength(2)
  })

  it('is cracked where a crack was seen, until somebody says otherwise', () => {
    const seen = { bowMm: null, bentAt: null, cracked: true, colour: null, skates: null, bites: null, hrc: null }
    const cracked = withBlade(batch, 'A3', { inspection: seen })
    expect(marks(standing(bladesOf(cracked)))).toEqual(['A1', 'A2', 'A4'])
    const whole = withState(cracked, 'A3', { is: 'whole', at: NOW, why: 'a scratch' })
    expect(standing(bladesOf(whole))).toHaveLength(4)
  })

  it('is finished once every finishing task is done, and has a certificate that says so', () => {
    const done = withBlade(batch, 'A2', { finished: [...FINISH_TASKS] })
    const paper = certificatesOf(
      { batch: done, shop: DEFAULT_WORKSHOP, readings: [], runs: [], logs: [], pictures: [], experienceOf: () => null },
      NOW,
    )
    expect(paper.map(({ finished }) => finished)).toEqual([false, true, false, false])
    const open = withBlade(batch, 'A2', { finished: FINISH_TASKS.slice(1) })
    expect(bladesOf(open).map(({ record }) => stateOf(record))[1]).toBe('whole')
    const cracked = withState(done, 'A2', { is: 'cracked', at: NOW, why: 'on the last belt' })
    expect(stateOf(cracked.blades[1] as never)).toBe('cracked')
    const again = withState(done, 'A2', { is: 'whole', at: NOW, why: 'the edge anew' })
    expect(stateOf(again.blades[1] as never)).toBe('whole')
  })

  it.each([...OUT_STATES])('%s: it is in no load, temper, step, mean, need or certificate', is => {
    const of = became(is)
    expect(isOut(of.blades[1] as never)).toBe(true)
    expect(marks(loadsOf(of, 'metric').flatMap(load => load.blades))).toEqual(['A1', 'A3', 'A4'])
    expect(marks(temperLoadsOf(of)[0]?.blades ?? [])).toEqual(['A1', 'A3', 'A4'])
    const { steps, blades } = expectOk(buildRunSteps(of, DEFAULT_WORKSHOP))
    expect(steps.some(step => step.bladeIds.includes('A2'))).toBe(false)
    expect(blades.map(blade => blade.bladeId)).not.toContain('A2')
    const readings = [readingOf('A1', 60, 'temper-2'), readingOf('A2', 56, 'temper-2'), readingOf('A3', 61, 'temper-2')]
    const { tester } = DEFAULT_WORKSHOP
    expect(groupHardness(of, groupOf(of).id, 'temper-2', { readings, tester })?.hrc).toBeCloseTo(60.5, 6)
    const needs = eachBlade({
      batch: of,
      readings,
      tester,
      can: { coldToC: null, anneal: false, system: 'metric' } as never,
      experienceOf: () => null,
    })
    expect([...needs.needs.map(need => need.bladeId), ...needs.unread].sort()).toEqual(['A1', 'A3', 'A4'])
    const papers = certificatesOf(
      { batch: of, shop: DEFAULT_WORKSHOP, readings, runs: [], logs: [], pictures: [], experienceOf: () => null },
      NOW,
    )
    expect(papers.map(paper => paper.blade)).toEqual(['A1', 'A3', 'A4'])
  })

  it.each(['finished', 'sold'] as const)('%s: it stands as it was made', is => {
    expect(loadsOf(became(is), 'metric').flatMap(load => load.blades)).toHaveLength(4)
  })
})
