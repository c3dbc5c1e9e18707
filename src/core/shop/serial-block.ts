import * as z from 'zod/mini'
import type { ReadOnly } from './read-only'

export const serialBlockSchema = z.object({ prefix: z.string(), from: z.int(), to: z.int() })
/** Numbers that one screen of a shared workshop gives and no other, both ends included, of serials with a prefix. */
export type SerialBlock = ReadOnly<z.infer<typeof serialBlockSchema>>
