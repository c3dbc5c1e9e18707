import * as z from 'zod/mini'
import { EXCHANGE_VERSION } from '../files/exchange'
import { batchRecordSchema } from '../shop/batch'
import { bladeSchema } from '../shop/blade'
import { gradeSheetSchema } from '../shop/grade-sheet'
import { ovenLogSchema } from '../shop/oven-log'
import { pictureSchema } from '../shop/picture'
import { readingSchema } from '../shop/reading'
import { recipeSchema } from '../shop/recipe'
import { runSchema } from '../shop/run'
import { serialBlockSchema } from '../shop/serial-block'
import { seenSchema, stampRowSchema } from '../shop/stamps'
import { workshopSchema } from '../shop/workshop'
import { SHARED_TABLES, type SharedRow, type SharedTable } from './rows'

/** Roles of a screen: it may change everything, or only show. */
export const ROLES = ['works', 'shows'] as const
export type Role = (typeof ROLES)[number]

/** A message holds at most so much, bytes; rows are sent in parts of about the second figure. */
export const MOST_BYTES = 8_000_000
export const PART_BYTES = 256_000
const MOST_ROWS_A_MESSAGE = 20_000

const id = z.string().check(z.minLength(1), z.maxLength(130))
const seq = z.int().check(z.minimum(0))
const name = z.string().check(z.trim(), z.minLength(1), z.maxLength(40))
export const screenName = name
export const roleSchema = z.enum(ROLES)

const rowSchemas: Readonly<Record<SharedTable, z.ZodMiniType>> = {
  batches: batchRecordSchema,
  blades: bladeSchema,
  readings: readingSchema,
  recipes: recipeSchema,
  runs: runSchema,
  grades: gradeSheetSchema,
  logs: ovenLogSchema,
  pictures: pictureSchema,
  shop: workshopSchema,
}

export const looseRowSchema = z.object({
  table: z.enum(SHARED_TABLES),
  id,
  row: z.nullable(z.looseObject({ id })),
  f: stampRowSchema.shape.f,
})

/** Returns a row as its table has it; null where it does not fit, or is another record than it says. */
export function checkedRow(loose: z.infer<typeof looseRowSchema>): SharedRow | null {
  if (loose.row === null) return loose.table === 'shop' ? null : { ...loose, row: null }
  if (loose.row.id !== loose.id) return null
  const fits = rowSchemas[loose.table].safeParse(loose.row)
  return fits.success ? { ...loose, row: fits.data as SharedRow['row'] } : null
}

const rows = z.array(looseRowSchema).check(z.maxLength(MOST_ROWS_A_MESSAGE))

/** Messages of a screen to the workshop’s server. */
export const fromScreenSchema = z.discriminatedUnion('say', [
  z.object({
    say: z.literal('hello'),
    version: z.int(),
    /** Whose log it holds; null: none yet. */
    origin: z.nullable(id),
    /** Under which name it stamps what it changes. */
    stampsAs: id,
    /** The shared log it had rows of, and the number of the last. */
    logId: z.nullable(id),
    cursor: seq,
  }),
  z.object({ say: z.literal('rows'), n: seq, rows, seen: seenSchema, isAll: z.boolean() }),
  z.object({ say: z.literal('ping'), at: z.number() }),
  /** Wants a code for another screen. */
  z.object({ say: z.literal('code'), name, role: roleSchema }),
  z.object({ say: z.literal('rename'), screen: id, name }),
  z.object({ say: z.literal('remove'), screen: id }),
  /** Wants serials of a year that it alone gives. */
  z.object({ say: z.literal('serials'), year: z.int().check(z.minimum(1990), z.maximum(2100)) }),
  /** Leads a run from now on: sound and voice are its. Null: none. */
  z.object({ say: z.literal('lead'), run: z.nullable(id) }),
])
export type FromScreen = z.infer<typeof fromScreenSchema>

const screenSchema = z.object({
  id,
  name: z.string(),
  role: roleSchema,
  addedAt: z.string(),
  lastSeenAt: z.nullable(z.string()),
  isHere: z.boolean(),
  /** Names under which it stamped changes. */
  stampsAs: z.array(id),
  /** The run it leads. */
  leads: z.nullable(id),
})
export type ScreenRow = z.infer<typeof screenSchema>

/** Why the server does not go on with a screen, or did not take what it sent. */
export const REFUSALS = [
  'other-version',
  'other-workshop',
  'only-shows',
  'does-not-fit',
  'too-many-rows',
  'clock-ahead',
  'disk',
  'removed',
  'too-fast',
] as const
export type SharingRefusal = (typeof REFUSALS)[number]

/** Messages of the workshop’s server to a screen. */
export const fromServerSchema = z.discriminatedUnion('say', [
  z.object({
    say: z.literal('welcome'),
    you: id,
    role: roleSchema,
    logId: id,
    /** Null: nothing was shared yet; the first screen’s log becomes the workshop’s. */
    origin: z.nullable(id),
    shop: z.nullable(z.unknown()),
    seq,
    nowMs: z.number(),
  }),
  z.object({ say: z.literal('rows'), rows, seen: seenSchema, seq, isAll: z.boolean() }),
  z.object({ say: z.literal('ok'), n: seq, seq }),
  z.object({ say: z.literal('no'), n: z.nullable(seq), why: z.enum(REFUSALS) }),
  z.object({ say: z.literal('pong'), at: z.number(), nowMs: z.number() }),
  z.object({ say: z.literal('screens'), screens: z.array(screenSchema) }),
  z.object({ say: z.literal('code'), code: z.string(), addresses: z.array(z.string()), until: z.string() }),
  z.object({ say: z.literal('serials'), block: serialBlockSchema }),
])
export type FromServer = z.infer<typeof fromServerSchema>

/** The version that screens and server must have in common: of what they store. */
export const SHARING_VERSION = EXCHANGE_VERSION
