import * as z from 'zod/mini'
import { bounded, id, instant } from './fields'
import type { ReadOnly } from './read-only'
import { stageSchema } from './route'

/** One Rockwell reading of one blade at one stage. */
export const readingSchema = z.object({
  id,
  batchId: id,
  /** Null where an older file did not tell which blade it was of: `unplaced` then says what it did tell. */
  bladeId: z.nullable(id),
  unplaced: z.optional(z.object({ mark: z.string().check(z.maxLength(60)), groupId: id })),
  stage: stageSchema,
  hrc: bounded('readingHrc'),
  at: instant,
  deletedAt: z.nullable(instant),
  /** Where on the blade, mm from the butt and from the spine; absent: not noted. */
  place: z.optional(z.object({ xMm: bounded('placeAlongMm'), yMm: bounded('placeAcrossMm') })),
  /** Read on a round face: its diameter, and what the tester showed; `hrc` is that with the face's correction. Absent: flat. */
  roundFace: z.optional(z.object({ diameterMm: bounded('faceDiameterMm'), shownHrc: bounded('readingHrc') })),
  /** Taken on a tester without a block check of that day. */
  unchecked: z.optional(z.boolean()),
})

export type Reading = ReadOnly<z.infer<typeof readingSchema>>
