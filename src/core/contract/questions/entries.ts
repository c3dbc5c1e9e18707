import { z } from 'zod'
import { ENTRY_SCHOOLS } from '../../../data/ovens'
import { ok } from '../../codes/result'
import { compareEntries } from '../../oven/entry-schools'
import { between, bounded } from '../../shop/bounds'
import { question } from '../question'
import { list, ovenRequest } from '../shapes'
import { detailedFrom } from './oven'

const loads = ovenRequest.shape.load.element.omit({
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
    equalise: z.array(z.object({ atC: between(100, 1300), holdMin: between(0, 600) })).max(4),
    load: z.array(loads).min(1).max(24),
  }),
  response: list(
    z.object({
      school: z.enum(ENTRY_SCHOOLS),
      totalMin: z.number().nullable(),
      inOvenMin: z.number().nullable(),
      steepestKPerMin: z.number(),
      skinAheadK: z.number(),
      soakMin: z.number(),
      energyKWh: z.number(),
      curve: list(z.tuple([z.number(), z.number(), z.number().nullable()]).readonly()),
    }),
  ),
  answer: ({ oven, ...rest }) => ok(compareEntries({ ...rest, oven: detailedFrom(oven) })),
})
