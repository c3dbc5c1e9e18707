import * as z from 'zod/mini'

/** µs since 1970 until 2100: a later one is no clock's. */
const clockUs = z.int().check(z.minimum(0), z.maximum(4_102_444_800_000_000))
const screenId = z.string().check(z.minLength(1), z.maxLength(60))
const path = z.string().check(
  z.maxLength(600),
  z.refine(text => text !== '__proto__'),
)

/** Row of stamps: each changed path of one record, with when and on which screen it was changed last. */
export const stampRowSchema = z.object({
  id: z.string().check(z.minLength(1), z.maxLength(140)),
  f: z.record(path, z.tuple([clockUs, screenId])),
})

/** How far a log has seen the changes of each screen. */
export const seenSchema = z.record(screenId, clockUs)

/** Identity of this browser's log: a new one for each that begins as a copy, since two that write under one would lose changes. */
export const screenSchema = z.object({
  id: screenId,
  /** Its clock at its last change. */
  atUs: clockUs,
  /** How far it has seen the changes of others. */
  seen: seenSchema,
})
export type Screen = z.infer<typeof screenSchema>
