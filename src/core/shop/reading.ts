import { z } from 'zod'
import { bounded, id, instant } from './bounds'
import type { ReadOnly } from './read-only'
import { stageSchema } from './route'

/** One Rockwell reading of one blade at one stage. */
export const readingSchema = z.object({
  id,
  batchId: id,
  /** Null where an older file did not tell which blade it was of: `unplaced` then says what it did tell. */
  bladeId: id.nullable(),
  unplaced: z.object({ mark: z.string().max(60), groupId: id }).optional(),
  stage: stageSchema,
  hrc: bounded('readingHrc'),
  at: instant,
  deletedAt: instant.nullable(),
  /** Where on the blade, mm from the butt and from the spine; absent: not noted. */
  place: z.object({ xMm: bounded('placeAlongMm'), yMm: bounded('placeAcrossMm') }).optional(),
  /** Read on a round face: its diameter, and what the tester showed; `hrc` is that with the face's correction. Absent: flat. */
  roundFace: z.object({ diameterMm: bounded('faceDiameterMm'), shownHrc: bounded('readingHrc') }).optional(),
  /** Taken on a tester without a block check of that day. */
  unchecked: z.boolean().optional(),
})

export type Reading = ReadOnly<z.infer<typeof readingSchema>>
