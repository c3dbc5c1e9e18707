import * as z from 'zod/mini'
import { id, instant, textUpTo, wholeBetween } from './fields'
import type { ReadOnly } from './read-only'

/** Subjects of a picture of a blade. */
export const PICTURE_SUBJECTS = ['colour', 'scale', 'crack', 'edge', 'finished', 'other'] as const

/** The longer side of a stored picture at most, px, and the longest text it is stored as. */
export const PICTURE_MOST_PX = 1600
const MOST_CHARACTERS = 3_000_000

/** A picture of a blade: drawn anew at a bounded size, so that nothing of place or device is in it. */
export const pictureSchema = z.object({
  id,
  batchId: id,
  bladeId: id,
  at: instant,
  deletedAt: z.nullable(instant),
  of: z.enum(PICTURE_SUBJECTS),
  note: textUpTo('remark'),
  widthPx: wholeBetween(1, PICTURE_MOST_PX),
  heightPx: wholeBetween(1, PICTURE_MOST_PX),
  /** A JPEG, as base64. */
  jpeg: z.string().check(z.maxLength(MOST_CHARACTERS), z.regex(/^[A-Za-z0-9+/]+=*$/)),
})

export type Picture = ReadOnly<z.infer<typeof pictureSchema>>
