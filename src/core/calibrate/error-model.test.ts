import { describe, expect, it } from 'vitest'
import { MODEL_FAMILIES } from '../../data/steel-facts'
import { createRandom } from '../numeric/random'
import { errorModelOf, type UnseenError } from './error-model'

/** A made-up world: its model errs by sd beside what is known, and by far more for each step away. */
function world(sd: number, far: number, steels = 40): UnseenError[] {
  const random = createRandom(7)
  return Array.from({ length: steels * 3 }, (_, i) => {
    const distance = 3 * random.uniform()
    return {
      steel: `steel ${Math.floor(i / 3)}`,
      family: MODEL_FAMILIES[Math.floor(i / 3) % MODEL_FAMILIES.length] as (typeof MODEL_FAMILIES)[number],
      errorHrc: Math.hypot(sd, far * distance) * random.normal(0, 1),
      distance,
    }
  })
}
const CHARTED = [{ steel: 'a', errorHrc: 1 }]

describe('the error of a model on unseen steels', () => {
  it('finds the error beside what is known and its growth with distance', () => {
    const found = errorModelOf(world(1, 0.6, 140), CHARTED)
    expect(found.farHrc).toBeGreaterThan(0.4)
    expect(found.farHrc).toBeLessThan(0.8)
    for (const family of MODEL_FAMILIES) expect(Math.abs(found.families[family].sdHrc - 1)).toBeLessThan(0.4)
  })

  it('holds about nine in ten, and is no wider than that takes', () => {
    const { families } = errorModelOf(world(1.5, 0, 140), CHARTED)
    const held = MODEL_FAMILIES.map(family => families[family].held)
    expect(held.reduce((a, b) => a + b) / held.length).toBeGreaterThan(0.85)
    expect(held.reduce((a, b) => a + b) / held.length).toBeLessThan(0.95)
  })

  it('takes a long chart of one steel for little more than a figure of it', () => {
    const rows = world(1, 0)
    const chart = Array.from(
      { length: 30 },
      (): UnseenError => ({ steel: 'one', family: 'stainless', errorHrc: 5, distance: 0 }),
    )
    const sd = errorModelOf([...rows, ...chart], CHARTED).families.stainless.sdHrc
    const all = Math.sqrt(
      [...rows.filter(row => row.family === 'stainless'), ...chart].reduce((sum, row) => sum + row.errorHrc ** 2, 0) /
        (rows.length / 7 + 30),
    )
    expect(sd).toBeLessThan(0.75 * all)
  })
})
