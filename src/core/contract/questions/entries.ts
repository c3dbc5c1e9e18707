import * as z from 'zod/mini'
import { ENTRY_SCHOOLS } from '../../../data/ovens'
import { ok } from '../../codes/result'
import { compareEntries } from '../../oven/entry-schools'
import { between, bounded } from '../../shop/fields'
import { question } from '../question'
import { list, loadedBlades, ovenRequest } from '../shapes'
import { detailedFrom } from './oven'

const loads = z.omit(loadedBlades, {
  atMin: true,
  whenOvenC: true,
  whenSegment: true,
  outAtSegment: true,
})

export const entries = question({
  summary: 'From cold, on the way up, equalised or straight in: how gentle, how long, how dear',
  request: z.object({
    oven: ovenRequest.shape.oven,
    austenitizeC: bounded('austenitizeC'),
    soakMin: bounded('soakMin'),
    equalise: z.array(z.object({ atC: between(100, 1300), holdMin: between(0, 600) })).check(z.maxLength(4)),
    load: z.array(loads).check(z.minLength(1), z.maxLength(24)),
  }),
  response: list(
    z.object({
      school: z.enum(ENTRY_SCHOOLS),
      totalMin: z.nullable(z.number()),
      inOvenMin: z.nullable(z.number()),
      steepestKPerMin: z.number(),
      skinAheadK: z.number(),
      soakMin: z.number(),
      energyKWh: z.number(),
      curve: list(z.readonly(z.tuple([z.number(), z.number(), z.nullable(z.number())]))),
    }),
  ),
  answer: ({ oven, ...rest }) => ok(compareEntries({ ...rest, oven: detailedFrom(oven) })),
})
