import { describe, expect, it } from 'vitest'
import { trayOfBlades } from '../../testing/run'
import { bladesOf } from '../batch/tray'
import { editBlade } from '../batch/tray-edit'
import { decarburisedMm } from '../foil/protection'
import { holeChangeMm, holeOf, skinOf } from './finish-sizes'

describe('a pivot hole', () => {
  it('is honed while its gauge does not go in, right within two hundredths, and wide beyond', () => {
    // Common practice, no published source: a hole of 4.8 mm comes out of the heat some hundredths tight.
    expect(holeOf({ holeAfterMm: 4.76, gaugeMm: 4.8 })).toEqual({ code: 'hone', byMm: expect.closeTo(0.04, 9) })
    expect(holeOf({ holeAfterMm: 4.82, gaugeMm: 4.8 })).toMatchObject({ code: 'fits' })
    expect(holeOf({ holeAfterMm: 4.85, gaugeMm: 4.8 })).toEqual({ code: 'wide', byMm: expect.closeTo(0.03, 9) })
    expect(holeOf({ holeAfterMm: 4.8 })).toBeNull()
    expect(holeChangeMm({ holeBeforeMm: 4.8, holeAfterMm: 4.77 })).toBeCloseTo(-0.03, 9)
    expect(holeChangeMm({ gaugeMm: 4.8 })).toBeNull()
  })
})

describe('the decarburised skin', () => {
  const batch = trayOfBlades(1)
  const skin = (more: object, protection: 'foil' | 'bare' = 'bare') => {
    const [blade] = bladesOf(editBlade(batch, 'A', record => ({ ...record, ...more })))
    if (!blade) throw new Error('blade')
    return skinOf(blade, protection)
  }

  it('is what the soak as it was took, counted for each hardening, and bare where the packet leaked', () => {
    const { austenitizeC } = batch.groups[0]?.route ?? { austenitizeC: 0 }
    expect(skin({ soakedMin: 20 }).skinMm).toBeCloseTo(decarburisedMm(austenitizeC, 20), 9)
    const before = { batchId: 'b', bladeId: 'x', hardened: 1 }
    expect(skin({ soakedMin: 20, before }).skinMm).toBeCloseTo(2 * decarburisedMm(austenitizeC, 20), 9)
    const tight = skin({ soakedMin: 20 }, 'foil').skinMm
    expect(tight).toBeLessThan(skin({ soakedMin: 20, packet: { sealed: true, leak: 'scale' } }, 'foil').skinMm)
  })

  it('is gone once as much was ground off, and unknown where nobody noted it', () => {
    expect(skin({ soakedMin: 20 }).leftMm).toBeNull()
    expect(skin({ soakedMin: 20, sizes: { groundOffMm: 1 } }).leftMm).toBe(0)
    expect(skin({ soakedMin: 20, sizes: { groundOffMm: 0.05 } }).leftMm).toBeGreaterThan(0.05)
  })
})
