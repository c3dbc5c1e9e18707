import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, NOW, trayOf, withBlade } from '../../testing/tray'
import { bladesOf } from '../batch/tray'
import { layBlades } from '../batch/tray-edit'
import { batchSchema } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { batchLike, newBatch } from './new-batch'

let n = 0
const newId = () => `id-${n++}`

describe('a batch like another', () => {
  const other = withBlade(
    {
      ...trayOf(gradeOf('X65Cr13'), [
        { mark: 'A', count: 3, thicknessMm: 3 },
        { mark: 'B', thicknessMm: 2 },
      ]),
      note: 'went well',
      countedOut: 4,
      entry: 'from-cold',
      foilCutAt: NOW,
    },
    'A2',
    { removedAt: NOW, serial: '26-014' },
  )
  const [group] = other.groups
  if (!group) throw new Error('group')
  const planned = {
    ...other,
    groups: [{ ...group, fixed: ['soakMin' as const], lot: 'bar 7', recipeId: 'r', symptom: 'chips' as const }],
  }
  const again = batchLike(planned, newId, 'Again', '2026-04-01T08:00:00.000Z')

  it('has the same steels, routes, lines and as many blades, under ids of its own', () => {
    expect(batchSchema.safeParse(again).error).toBeUndefined()
    expect(groupOf(again)).toMatchObject({ gradeId: group.gradeId, fixed: ['soakMin'], lot: 'bar 7', recipeId: 'r' })
    expect(groupOf(again).route).toEqual(group.route)
    expect(bladesOf(again).map(b => [b.mark, b.line.thicknessMm])).toEqual([
      ['A1', 3],
      ['A2', 3],
      ['B', 2],
    ])
    const ids = (b: typeof again) => [
      b.id,
      ...b.groups.map(g => g.id),
      ...b.lines.map(l => l.id),
      ...b.blades.map(x => x.id),
    ]
    expect(ids(again).filter(id => ids(planned).includes(id))).toEqual([])
  })

  it('has nothing of what became of the other’s blades', () => {
    expect(again).toMatchObject({ countedOut: null, note: '', entry: 'from-cold', rev: 0 })
    expect(again.foilCutAt).toBeUndefined()
    expect(groupOf(again)).toMatchObject({ symptom: null, decisions: [] })
    expect(again.blades.every(blade => blade.serial === '' && blade.removedAt === null)).toBe(true)
  })
})

describe('a batch with its first blades', () => {
  it('has as many as were said, of that thickness, and a route for them', () => {
    const begun = newBatch({ batch: 'b', group: 'g' }, 'New', gradeOf('X153CrMoV12'), DEFAULT_WORKSHOP, NOW, {
      thicknessMm: 5,
    })
    // 20 to 40 min between thin and thick for this steel: handbook; 35 at 5 mm.
    expect(groupOf(begun).route.soakMin).toBe(35)
    const laid = layBlades(begun, 'g', { count: 14, thicknessMm: 5 }, newId, NOW)
    expect(bladesOf(laid)).toHaveLength(14)
    expect(new Set(bladesOf(laid).map(b => b.line.thicknessMm))).toEqual(new Set([5]))
  })
})
