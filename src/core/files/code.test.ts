import jsQR from 'jsqr'
import { create } from 'qrcode'
import { describe, expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { gradeOf, readingOf, trayOf, withBlade } from '../../testing/tray'
import { bladesOf } from '../batch/tray'
import { createRandom } from '../numeric/random'
import { batchSchema } from '../shop/batch'
import { withBlades } from '../shop/batch-records'
import type { Recipe } from '../shop/recipe'
import { type Carried, carriedBlade, carriedRecipe, packCode, unpackCode } from './code'

const demo = makeDemoWorkshop(7, new Date('2026-03-02T08:00:00Z'))
const packed = async (carried: Carried): Promise<Uint8Array> => {
  const made = await packCode(carried)
  if (!made.ok) throw new Error(made.problems[0]?.code)
  return made.value
}

/** Drawn by one library and read by another, each of others: what a camera would see, sharp. */
function seen(bytes: Uint8Array): Uint8Array | null {
  const { modules } = create([{ data: bytes, mode: 'byte' }], { errorCorrectionLevel: 'L' })
  const [scale, border] = [3, 4]
  const side = (modules.size + 2 * border) * scale
  const pixels = new Uint8ClampedArray(side * side * 4).fill(255)
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const [mx, my] = [Math.floor(x / scale) - border, Math.floor(y / scale) - border]
      const isIn = mx >= 0 && my >= 0 && mx < modules.size && my < modules.size
      if (isIn && modules.get(my, mx)) pixels.fill(0, (y * side + x) * 4, (y * side + x) * 4 + 3)
    }
  const found = jsQR(pixels, side, side)
  return found ? Uint8Array.from(found.binaryData) : null
}

describe('a code that carries a recipe or a blade', () => {
  it('carries every recipe of the demo in its newest version, through the picture of it', async () => {
    for (const recipe of demo.recipes) {
      const bytes = await packed(carriedRecipe(recipe))
      const read = await unpackCode(seen(bytes) ?? new Uint8Array())
      expect(read).toMatchObject({ ok: true, value: { kind: 'recipe', recipe: { name: recipe.name } } })
      if (!read.ok || read.value.kind !== 'recipe') continue
      expect(read.value.recipe.versions).toHaveLength(1)
      expect(read.value.recipe.versions[0]?.route).toEqual(recipe.versions.at(-1)?.route)
    }
    expect(demo.recipes.length).toBeGreaterThan(0)
  })

  it('carries each of the demo’s blades with its route and its own readings, and nothing of another blade', async () => {
    const batches = withBlades(demo.batches, demo.blades)
    for (const batch of batches.slice(0, 6)) {
      const [blade] = batch.blades
      if (!blade) continue
      const carried = carriedBlade(batch, blade.id, demo.readings)
      if (!carried) throw new Error('no blade')
      const read = await unpackCode(await packed(carried))
      expect(read).toEqual({ ok: true, value: JSON.parse(JSON.stringify(carried)) })
      if (!read.ok || read.value.kind !== 'blade') continue
      expect(read.value.batch.groups).toHaveLength(1)
      expect(read.value.batch.lines.map(line => line.id)).toEqual([blade.lineId])
      const alone = { ...read.value.batch, blades: [read.value.blade] }
      expect(bladesOf(alone)[0]?.mark).toBe(bladesOf(batch).find(one => one.id === blade.id)?.mark)
      expect(batchSchema.safeParse(alone).success).toBe(true)
      expect(read.value.readings.map(reading => reading.id).sort()).toEqual(
        demo.readings
          .filter(r => r.bladeId === blade.id && r.deletedAt === null)
          .map(r => r.id)
          .sort(),
      )
    }
  })

  it('is refused where it is more than a code holds', async () => {
    const random = createRandom(3)
    const why = Array.from({ length: 900 }, () => String.fromCharCode(97 + Math.floor(random.uniform() * 26))).join('')
    const tray = trayOf(gradeOf('X65Cr13'), [{ mark: 'A' }])
    const states = Array.from({ length: 8 }, (_, i) => ({
      is: 'kept' as const,
      at: `2026-03-0${i + 1}T08:00:00.000Z`,
      why: why.slice(i * 100, i * 100 + 400),
    }))
    const note = Array.from({ length: 3900 }, () => String.fromCharCode(33 + Math.floor(random.uniform() * 90))).join(
      '',
    )
    const batch = { ...withBlade(tray, 'A', { states: states as never }), note }
    const carried = carriedBlade(batch, 'A', [readingOf('A', 60, 'as-quenched')])
    expect(carried && (await packCode(carried))).toMatchObject({ ok: false, problems: [{ code: 'code-too-large' }] })
    expect(carriedBlade(tray, 'no such blade', [])).toBeNull()
  })

  it('tells a code of something else, one of a newer version, and one that is spoiled', async () => {
    const code = async (bytes: Uint8Array) => {
      const read = await unpackCode(bytes)
      return read.ok ? 'read' : read.problems[0]?.code
    }
    const [recipe] = demo.recipes as readonly [Recipe, ...Recipe[]]
    const bytes = await packed(carriedRecipe(recipe))
    expect(await code(bytes)).toBe('read')
    expect(await code(new TextEncoder().encode('https://somewhere.example'))).toBe('code-foreign')
    expect(await code(new Uint8Array())).toBe('code-foreign')
    expect(await code(Uint8Array.from(bytes, (byte, i) => (i === 2 ? 9 : byte)))).toBe('code-newer')
    expect(await code(bytes.slice(0, 40))).toBe('code-broken')
    const random = createRandom(5)
    for (let i = 0; i < 200; i++) {
      const at = 3 + Math.floor(random.uniform() * (bytes.length - 3))
      const spoiled = Uint8Array.from(bytes, (byte, j) =>
        j === at ? byte ^ (1 + Math.floor(random.uniform() * 255)) : byte,
      )
      expect(['read', 'code-broken']).toContain(await code(spoiled))
    }
  })

  it('unfolds to no more than a recipe or a blade can be', async () => {
    const zeros = new Blob([new Uint8Array(5_000_000)]).stream().pipeThrough(new CompressionStream('deflate-raw'))
    const bomb = new Uint8Array([0x54, 0x45, 1, ...new Uint8Array(await new Response(zeros).arrayBuffer())])
    expect(await unpackCode(bomb)).toMatchObject({ ok: false, problems: [{ code: 'code-broken' }] })
  })
})
