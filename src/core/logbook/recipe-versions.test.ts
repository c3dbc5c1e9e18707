import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, NOW, readingOf, trayOf, withBlade } from '../../testing/tray'
import { versionWords } from '../../words/recipes'
import { withState } from '../batch/blade-state'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Recipe } from '../shop/recipe'
import { versionOutcomes } from './recipe-versions'

const first = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 3 }], { id: 'first' })
const { route, gradeId, gradeName } = groupOf(first)
const cooler = { ...route, tempers: route.tempers.map(temper => ({ ...temper, atC: temper.atC - 20 })) }
const named = (batch: Batch, name: string, to = route): Batch => ({
  ...batch,
  id: name,
  groups: batch.groups.map(group => ({ ...group, route: to })),
  blades: batch.blades.map(blade => ({ ...blade, id: `${name}-${blade.number}`, batchId: name })),
})
const [before, after] = [named(first, 'before'), named(first, 'after', cooler)]
const recipe: Recipe = {
  id: 'r',
  name: 'Everyday',
  gradeId,
  gradeName,
  target: { min: 59, max: 61 },
  retired: false,
  versions: [
    { number: 1, at: NOW, route, why: 'usual' },
    { number: 2, at: NOW, route: { ...route, soakMin: route.soakMin + 5 }, why: 'never run' },
    { number: 3, at: NOW, route: cooler, why: 'half a point soft' },
  ],
}
const stage = `temper-${route.tempers.length as 2}` as const
const read = (batch: string, ...hrcs: number[]) => hrcs.map((hrc, i) => readingOf(`${batch}-${i + 1}`, hrc, stage))
const { tester } = DEFAULT_WORKSHOP

describe('what the versions of a recipe came to', () => {
  const readings = [...read('before', 58.5, 59, 58.7), ...read('after', 60, 60.3, 59.9)]
  const log = { batches: [before, after], readings, tester }

  it('counts the blades that went each route, and holds a version against the last one that blades went by', () => {
    const [one, never, three] = versionOutcomes(recipe, log)
    expect(one).toMatchObject({ blades: 3, batches: 1, inTarget: { count: 1, of: 3 }, against: null })
    expect(never).toMatchObject({ blades: 0, meanHrc: null, against: null })
    expect(three).toMatchObject({ blades: 3, inTarget: { count: 3, of: 3 }, against: { number: 1 } })
    expect(three?.against?.hardness?.difference).toBeCloseTo((60 + 60.3 + 59.9 - 58.5 - 59 - 58.7) / 3, 1)
    expect(three?.against?.hardness?.from).toBeGreaterThan(0)
    expect(three && versionWords(three)).toMatch(
      /^3 blades of 1 batch: 60\.\d HRC .* Against version 1: The change makes \+1\.\d HRC/,
    )
    expect(never && versionWords(never)).toBe('No blade was read yet that went by it.')
  })

  it('has nothing of a blade with a temper of its own, of one that cracked, or of another steel', () => {
    const own = withBlade(before, 'before-1', { tempers: [{ atC: 210, holdMin: 120 }] })
    const cracked = withState(own, 'before-2', { is: 'cracked', at: NOW, why: '' })
    expect(versionOutcomes(recipe, { ...log, batches: [cracked] })[0]?.blades).toBe(1)
    expect(versionOutcomes({ ...recipe, gradeId: 'other' }, log).map(one => one.blades)).toEqual([0, 0, 0])
  })

  it('says how many more edges hold, where both were proved', () => {
    const proved = (batch: Batch, results: readonly ('holds' | 'chips')[]): Batch => ({
      ...batch,
      blades: batch.blades.map((blade, i) => ({
        ...blade,
        edgeTests: [
          {
            id: `${blade.id} t`,
            at: NOW,
            kind: 'soft-wire',
            edgeDeg: 18,
            result: results[i] ?? 'holds',
          },
        ],
      })),
    })
    const batches = [proved(before, ['chips', 'chips', 'holds']), proved(after, ['holds', 'holds', 'holds'])]
    const three = versionOutcomes(recipe, { ...log, batches })[2]
    expect([three?.edges, three?.against?.edges?.difference]).toEqual([{ count: 3, of: 3 }, expect.closeTo(2 / 3, 6)])
    expect(three && versionWords(three)).toContain('3 of 3 edges held')
  })
})
