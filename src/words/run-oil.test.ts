import { describe, expect, it } from 'vitest'
import { buildRunSteps } from '../core/run-plan/run-steps'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { expectOk, gradeOf, trayOf } from '../testing/tray'
import { plainStepTitle, stepWords } from './run'

const batch = trayOf(gradeOf('95MnWCr5'), [{ mark: 'A', count: 2, thicknessMm: 4 }])
const { steps } = expectOk(buildRunSteps(batch, { ...DEFAULT_WORKSHOP, oil: 'medium-oil' }))
const of = (kind: string) => steps.filter(step => step.kind === kind)

describe('a run into oil', () => {
  it('says at each pull what goes where, with the caution that belongs there', () => {
    const [first, second] = of('pull').map(step => stepWords(step, batch, 'metric'))
    expect(first?.action).toBe('Pull A1, into the oil')
    expect(first?.detail).toMatch(/Shield down, gauntlets on\..* The whole blade under at once/)
    expect(first?.detail).toMatch(/Lid and extinguisher within reach/)
    expect(first?.detail).not.toContain('vice')
    expect(second?.detail).toContain('A1 out of the oil first.')
  })

  it('takes the last one out over the tank, and puts the lid on', () => {
    const [out] = of('unclamp').map(step => stepWords(step, batch, 'metric'))
    expect(out?.title).toBe('A2 out of the oil')
    expect(out?.detail).toMatch(/drip over the tank.*Lid on the tank/)
    expect(of('unclamp')[0]?.wait).toEqual({ kind: 'seconds', seconds: 30 })
  })

  it('is on the paper of a blade as oil, not as plates', () => {
    const [pull] = of('pull')
    expect(pull && plainStepTitle(pull, 'A1', 'metric')).toBe('Out of the oven, into the oil: A1')
  })
})
