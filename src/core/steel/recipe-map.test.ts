import { describe, expect, it } from 'vitest'
import { fitShop, type Observation } from '../learn/fit-shop'
import { findGrade } from './grades'
import { predict } from './predict'
import { recipeMap } from './recipe-map'
import type { Route } from './route'
import { withTemperC } from './usual'

const grade = findGrade('X153CrMoV12')
if (!grade) throw new Error('grade')
const route: Route = {
  austenitizeC: 1020,
  soakMin: 25,
  quenchedToC: 25,
  cold: { toC: -75, holdMin: 60, delayMin: 30 },
  tempers: [
    { atC: 200, holdMin: 120 },
    { atC: 200, holdMin: 120 },
  ],
}
const size = 13
const ask = (shop: Parameters<typeof recipeMap>[0]['shop']) =>
  recipeMap({ steel: grade, route, austenitizeC: { min: 960, max: 1080 }, temperC: { min: 150, max: 570 }, size, shop })

const observation = (residual: number, batchId: string): Observation => ({
  gradeId: grade.id,
  lot: '',
  ovenId: '',
  day: 20_000,
  austenitizeC: 1020,
  coldC: -75,
  parameter: 9.6,
  batchId,
  residual,
  readings: 12,
})

describe('the recipe map', () => {
  it.each([
    ['without', null],
    ['with', fitShop(['a', 'b', 'c', 'd'].map(id => observation(0.8, id)))],
  ] as const)('says at every point what a prediction there says, %s the shop’s readings', (_, fit) => {
    const shop = fit && { model: fit.model, lot: '', ovenId: '' }
    const map = ask(shop)
    map.temperC.forEach((atC, j) => {
      map.austenitizeC.forEach((austenitizeC, i) => {
        const p = predict(grade, withTemperC({ ...route, austenitizeC }, atC), shop)
        const k = j * size + i
        expect(map.hrc[k]).toBeCloseTo(p.finalHrc.mean, 6)
        expect(map.sd[k]).toBeCloseTo(p.finalHrc.sd, 6)
        expect(map.retained[k]).toBeCloseTo(p.retainedAustenite.final, 9)
        expect(map.corrosion[k]).toBeCloseTo(p.corrosion.index, 9)
        expect(map.chromium[i]).toBeCloseTo(p.austenite.Cr, 9)
        expect(map.pinning[i]).toBeCloseTo(p.grainPinning, 9)
      })
    })
  })

  it('moves toward what the shop reads', () => {
    const fit = fitShop(['a', 'b', 'c', 'd'].map(id => observation(0.8, id)))
    if (!fit) throw new Error('no fit')
    const near = (shop: Parameters<typeof ask>[0]) => ask(shop).hrc[size + 6] ?? 0
    expect(near({ model: fit.model, lot: '', ovenId: '' }) - near(null)).toBeGreaterThan(0.4)
  })
})
