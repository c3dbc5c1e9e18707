import * as z from 'zod/mini'
import { EDGE_PRIOR, EDGE_RESULTS } from '../../../data/edge-tests'
import { ok } from '../../codes/result'
import { bestHardness, edgeBelief, nextAim, thresholdsAt } from '../../learn/edge-belief'
import { BOUNDS } from '../../shop/bounds'
import { between, bounded } from '../../shop/fields'
import { question } from '../question'

const chances = z.object({ holds: z.number(), rolls: z.number(), chips: z.number() })

/** Angles the band is drawn at, degrees a side. */
const ANGLES = Array.from(
  { length: 19 },
  (_, i) => BOUNDS.edgeDeg.min + (i * (BOUNDS.edgeDeg.max - BOUNDS.edgeDeg.min)) / 18,
)

export const edgeBeliefs = question({
  summary: 'Which hardness an edge of an angle holds at, by the shop’s own edge tests, and what to try next',
  request: z.object({
    /** Hardness the shop aims at, HRC. */
    targetHrc: bounded('hrc'),
    edgeDeg: bounded('edgeDeg'),
    /** How blades of one batch scatter about it, HRC. */
    scatterHrc: z._default(between(0, 3), 0.4),
    evidence: z
      .array(
        z.object({
          hrc: bounded('readingHrc'),
          sdHrc: between(0, 10),
          edgeDeg: bounded('edgeDeg'),
          result: z.enum(EDGE_RESULTS),
        }),
      )
      .check(z.maxLength(2000)),
  }),
  response: z.object({
    best: z.object({ hrc: z.number(), fromHrc: z.number(), toHrc: z.number() }),
    next: z.object({ hrc: z.number(), chances, bestHolds: z.number(), gain: z.number() }),
    tests: z.int(),
    /** Half width of the prior, HRC: a best interval as wide as this has learnt nothing. */
    priorSdHrc: z.number(),
    band: z.array(z.object({ edgeDeg: z.number(), rollsHrc: z.number(), chipsHrc: z.number() })),
  }),
  answer: ({ targetHrc, edgeDeg, scatterHrc, evidence }) => {
    const belief = edgeBelief(targetHrc, evidence)
    return ok({
      best: bestHardness(belief, edgeDeg),
      next: nextAim(belief, edgeDeg, scatterHrc),
      tests: belief.tests,
      priorSdHrc: EDGE_PRIOR.middleSdHrc,
      band: ANGLES.map(angle => ({ edgeDeg: angle, ...thresholdsAt(belief, angle) })),
    })
  },
})
