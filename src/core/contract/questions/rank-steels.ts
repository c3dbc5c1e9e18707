import * as z from 'zod/mini'
import { CORROSION_CLASSES } from '../../../data/grades'
import { USE_NAMES } from '../../../data/uses'
import { rankGrades } from '../../advice/rank-steels'
import { ok } from '../../codes/result'
import { between, bounded } from '../../shop/fields'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { routeSchema, targetSchema } from '../../shop/route'
import { workshopSchema } from '../../shop/workshop'
import { SYSTEMS } from '../../units/quantity'
import { question } from '../question'
import { estimate, list } from '../shapes'

/** A share for each thing a steel is judged by. */
const merits = z.object({
  edge: between(0, 1),
  corrosion: between(0, 1),
  wear: between(0, 1),
  toughness: between(0, 1),
})

export const rankSteels = question({
  summary: 'Steels for a use and a shop, best first, each with a route; and what this shop cannot do, with why',
  request: z.object({
    grades: z.readonly(z.array(gradeSheetSchema).check(z.maxLength(200))),
    use: z.enum(USE_NAMES),
    edgeDeg: bounded('edgeDeg'),
    weights: z.optional(merits),
    thicknessMm: bounded('bladeThicknessMm'),
    coldToC: z.nullable(bounded('coldC')),
    ovenMaxC: between(500, 1400),
    system: z.enum(SYSTEMS),
    oil: workshopSchema.shape.oil,
  }),
  response: z.object({
    ranked: list(
      z.object({
        gradeId: z.string(),
        target: targetSchema,
        route: routeSchema,
        hrc: estimate,
        retained: z.number(),
        corrosion: z.number(),
        merits,
        reach: z.number(),
        score: z.number(),
        why: z.object({
          hrc: z.number(),
          target: targetSchema,
          reaches: z.enum(['within', 'short', 'above']),
          edge: z.enum(['long-and-coarse', 'long', 'very-fine', 'fine']),
          strength: z.enum(['tough', 'brittle', 'usual']),
          corrosionClass: z.enum(CORROSION_CLASSES),
          rustsTooSoon: z.boolean(),
        }),
      }),
    ),
    refused: list(
      z.object({
        gradeId: z.string(),
        why: z.discriminatedUnion('code', [
          z.object({ code: z.literal('needs-oil'), slowest800to500S: z.number(), fast: z.boolean() }),
          z.object({ code: z.literal('oven-too-cold'), needsC: z.number(), ovenMaxC: z.number() }),
          z.object({ code: z.literal('no-foil'), needsC: z.number() }),
        ]),
      }),
    ),
  }),
  answer: request => {
    const { ranked, refused } = rankGrades(request)
    return ok({
      ranked: ranked.map(({ grade, ...rest }) => ({ gradeId: grade.id, ...rest })),
      refused: refused.map(({ grade, why }) => ({ gradeId: grade.id, why })),
    })
  },
})
