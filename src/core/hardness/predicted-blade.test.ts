import { describe, expect, it } from 'vitest'
import { gradeOf, trayOf, withTray } from '../../testing/tray'
import { bladesOf } from '../batch/tray'
import { batchFiguresOf } from '../bench/batch-figures'
import { loadKeyOf, loadsOf } from '../load/loads'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { predictedAtSoak, predictedBlade } from './predicted-blade'
import { soakEffect } from './soak-effect'

const batch = withTray(trayOf(gradeOf('X65Cr13'), []), [{ mark: 'A', count: 9, thicknessMm: 3 }])
const shop = DEFAULT_WORKSHOP
const [load] = loadsOf(batch, shop.units)
const { pulls } = batchFiguresOf({ batch, shop, readings: [], experienceOf: () => null })
const last = load && pulls[loadKeyOf(load)]?.pulls.at(-1)

describe('the predicted hardness of a pulled blade', () => {
  it('is one figure in the pull list, in the run that measured its soak, and on its own page', () => {
    const blade = bladesOf(batch).find(({ id }) => id === last?.bladeId)
    if (!blade || !last) throw new Error('blade')
    const asRun = { ...blade, record: { ...blade.record, soakedMin: last.soakMin } }
    expect(predictedBlade(asRun, null)?.finalHrc.mean).toBe(last.hrc)
    const planned = predictedBlade(blade, null)?.finalHrc.mean ?? 0
    expect(planned + (soakEffect(blade.group, last.soakMin)?.hrcChange ?? 0)).toBeCloseTo(last.hrc ?? 0, 9)
    expect(last.soakMin).toBeGreaterThan(blade.group.route.soakMin + 5)
    expect(last.hrc).not.toBeCloseTo(planned, 3)
  })

  it('follows tempers of its own', () => {
    const [blade] = bladesOf(batch)
    if (!blade) throw new Error('blade')
    const softer = { ...blade, record: { ...blade.record, tempers: [{ atC: 400, holdMin: 120 }] } }
    const [own, usual] = [predictedBlade(softer, null), predictedBlade(blade, null)]
    expect(own?.hrc.afterTempers).toHaveLength((usual?.hrc.afterTempers.length ?? 0) + 1)
    expect(own?.finalHrc.mean).toBeLessThan(usual?.finalHrc.mean ?? 0)
  })

  it('is not known of a grade that is gone, and a blade pulled at once still has a route', () => {
    const [blade] = bladesOf(batch)
    if (!blade) throw new Error('blade')
    const gone = { ...blade.group, gradeId: 'gone', gradeName: 'gone' }
    expect(predictedAtSoak(gone, 20)).toBeNull()
    expect(predictedAtSoak(blade.group, 0)?.finalHrc.mean).toBe(predictedAtSoak(blade.group, 0.5)?.finalHrc.mean)
  })
})
