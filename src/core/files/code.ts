import * as z from 'zod/mini'
import { bladesOf } from '../batch/tray'
import { fail, ok, type Result } from '../codes/result'
import { type Batch, batchRecordSchema } from '../shop/batch'
import { partBatch } from '../shop/batch-records'
import { bladeSchema } from '../shop/blade'
import { LONGEST } from '../shop/bounds'
import type { ReadOnly } from '../shop/read-only'
import { type Reading, readingSchema } from '../shop/reading'
import { type Recipe, recipeSchema } from '../shop/recipe'

const MOST_READINGS = 200

/** Schema of a code carried between browsers: a recipe's newest version, or a blade with its route and readings. */
const carriedSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('recipe'), recipe: recipeSchema }),
  z.object({
    kind: z.literal('blade'),
    batch: batchRecordSchema,
    blade: bladeSchema,
    readings: z.array(readingSchema).check(z.maxLength(MOST_READINGS)),
  }),
])
export type Carried = ReadOnly<z.infer<typeof carriedSchema>>

/** A recipe as it is now: its earlier versions stay where they are. */
export const carriedRecipe = (recipe: Recipe): Carried => ({
  kind: 'recipe',
  recipe: { ...recipe, versions: recipe.versions.slice(-1).map(version => ({ ...version, number: 1 })) },
})

/**
 * A blade with what it needs of its batch, as a batch of its own: what hangs on the other blades stays there, its oven is one of the
 * other workshop. Null where there is no such blade.
 */
export function carriedBlade(batch: Batch, bladeId: string, readings: readonly Reading[]): Carried | null {
  const blade = bladesOf(batch).find(one => one.id === bladeId)
  if (!blade) return null
  const { line, group, mark, record } = blade
  const id = `carried-${bladeId}`
  const { foilLayout: _, foilCutAt: __, foilCutM: ___, unplaced: ____, day: _____, ...rest } = partBatch(batch).record
  return {
    kind: 'blade',
    batch: {
      ...rest,
      id,
      name: `${batch.name}, ${mark}`.slice(0, LONGEST.batchName),
      ovenId: null,
      groups: [{ ...group, decisions: [], recipeId: null }],
      // Alone on its line a first blade is called by the line.
      lines: [record.number === 1 ? { ...line, mark } : line],
      countedOut: null,
    },
    blade: { ...record, batchId: id },
    readings: readings
      .filter(reading => reading.bladeId === bladeId && reading.deletedAt === null)
      .slice(0, MOST_READINGS)
      .map(reading => ({ ...reading, batchId: id })),
  }
}

/** Magic bytes of such a code, and its version. */
const HEAD = [0x54, 0x45, 1] as const
/** A code of the largest size holds so many bytes at the lowest correction. Source: ISO/IEC 18004, version 40-L. */
const MOST_BYTES = 2953
/** Largest size that a code may unpack to. */
const MOST_UNFOLDED = 300_000

async function through(
  bytes: Uint8Array<ArrayBuffer>,
  by: GenericTransformStream,
  most: number,
): Promise<Uint8Array | null> {
  const reader = new Blob([bytes])
    .stream()
    .pipeThrough<Uint8Array>(by as ReadableWritablePair<Uint8Array, BufferSource>)
    .getReader()
  const parts: Uint8Array[] = []
  for (let length = 0; ; ) {
    const { done, value } = await reader.read()
    if (done) break
    length += value.length
    if (length > most) {
      await reader.cancel()
      return null
    }
    parts.push(value)
  }
  return new Uint8Array(await new Blob(parts as Uint8Array<ArrayBuffer>[]).arrayBuffer())
}

/** Packed into the bytes of a code: deflated JSON (RFC 1951) after three bytes of its own. Errors: 'code-too-large'. */
export async function packCode(carried: Carried): Promise<Result<Uint8Array>> {
  const json = new TextEncoder().encode(JSON.stringify(carried))
  const packed = await through(json, new CompressionStream('deflate-raw'), Number.POSITIVE_INFINITY)
  const bytes = new Uint8Array([...HEAD, ...(packed ?? [])])
  return bytes.length > MOST_BYTES ? fail('code-too-large', { bytes: bytes.length, most: MOST_BYTES }) : ok(bytes)
}

/** Returns the contents of a code. Errors: 'code-foreign' (of something else), 'code-newer', 'code-broken'. */
export async function unpackCode(bytes: Uint8Array): Promise<Result<Carried>> {
  if (bytes[0] !== HEAD[0] || bytes[1] !== HEAD[1] || bytes.length <= HEAD.length) return fail('code-foreign', {})
  if ((bytes[2] ?? 0) > HEAD[2]) return fail('code-newer', {})
  try {
    const unfolded = await through(bytes.slice(HEAD.length), new DecompressionStream('deflate-raw'), MOST_UNFOLDED)
    const parsed = carriedSchema.safeParse(JSON.parse(new TextDecoder().decode(unfolded ?? new Uint8Array())))
    return parsed.success ? ok(parsed.data) : fail('code-broken', {})
  } catch {
    // Whatever is wrong with its bytes, it is no code that can be used.
    return fail('code-broken', {})
  }
}
