import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it } from 'vitest'
import { carriedBlade, carriedRecipe } from '../core/files/code'
import { withBlades } from '../core/shop/batch-records'
import { makeDemoWorkshop } from '../simulators/demo/make-demo'
import { clearAll, readAll } from './backup'
import { takeCarried } from './carried'
import { db } from './database'

const demo = makeDemoWorkshop(7, new Date('2026-03-02T08:00:00Z'))
const read = withBlades(demo.batches, demo.blades).find(batch => demo.readings.some(one => one.batchId === batch.id))
const [blade, other] = read?.blades ?? []
const [recipe] = demo.recipes
if (!read || !blade || !other || !recipe) throw new Error('the demo has blades and recipes')

describe('what a code carried', () => {
  beforeEach(async () => {
    await clearAll()
  })

  it('is a recipe once: taken again it is known, and what became of it here stays', async () => {
    expect(await takeCarried(carriedRecipe(recipe))).toEqual({ taken: 'added', href: `/recipe/${recipe.id}` })
    await db.recipes.update(recipe.id, { name: 'Mine now' })
    expect(await takeCarried(carriedRecipe(recipe))).toEqual({ taken: 'known', href: `/recipe/${recipe.id}` })
    expect((await db.recipes.get(recipe.id))?.name).toBe('Mine now')
  })

  it('is a blade with its readings; a second one of the same batch comes beside it', async () => {
    for (const one of [blade, other]) {
      const carried = carriedBlade(read, one.id, demo.readings)
      if (!carried) throw new Error('no blade')
      expect(await takeCarried(carried)).toEqual({ taken: 'added', href: `/blade/${one.id}` })
      expect((await takeCarried(carried)).taken).toBe('known')
    }
    const { blades, batches, readings } = await readAll()
    expect(blades.map(one => one.id).sort()).toEqual([blade.id, other.id].sort())
    expect(batches).toHaveLength(2)
    const own = demo.readings.filter(one => [blade.id, other.id].includes(one.bladeId ?? '') && one.deletedAt === null)
    expect(readings).toHaveLength(own.length)
    for (const one of blades) expect(batches.map(batch => batch.id)).toContain(one.batchId)
  })

  it('gives a blade another serial where its own is in use here', async () => {
    const [first, second] = [blade, { ...other, serial: blade.serial }]
    const twice = { ...read, blades: [first, second] }
    for (const one of [first, second]) {
      const carried = carriedBlade(twice, one.id, [])
      if (carried) await takeCarried(carried)
    }
    const serials = (await db.blades.toArray()).map(one => one.serial)
    expect(new Set(serials).size).toBe(2)
  })
})
