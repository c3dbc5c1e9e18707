import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { followRun } from '../../equipment/follow-run'
import { ovenSchema } from '../../shop/oven'
import { runSchema } from '../../shop/run'
import { question } from '../question'
import { list } from '../shapes'

const track = z.object({
  shown: list(z.tuple([z.number(), z.number()])),
  knownS: z.number(),
  untilS: z.number(),
  blades: list(
    z.object({
      bladeId: z.string(),
      round: z.number(),
      arrivedS: z.nullable(z.number()),
      leftS: z.nullable(z.number()),
      peakC: z.number(),
    }),
  ),
})

export const runOven = question({
  summary:
    'What the ovens of a run went through and go on to, by their wall models and what their displays were read at',
  request: z.object({
    run: z.partial(z.pick(runSchema, { steps: true, events: true, blades: true, drill: true, people: true }), {
      people: true,
    }),
    hardening: ovenSchema,
    /** The oven of its own that tempers; null where the one that hardens does. */
    tempering: z.nullable(ovenSchema),
  }),
  response: z.object({ hardening: track, tempering: z.nullable(track) }),
  answer: request => ok(followRun(request)),
})
