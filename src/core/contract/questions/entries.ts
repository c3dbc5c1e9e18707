import { z } from 'zod'
import { ok } from '../../codes/result'
import { compareEntries, type EntryOutcome } from '../../oven/entry-schools'
import { between, bounded } from '../../shop/bounds'
import { ovenRequest } from '../api'
import { question } from '../question'
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
  response: z.custom<EntryOutcome[]>(),
  answer: ({ oven, ...rest }) => ok(compareEntries({ ...rest, oven: detailedFrom(oven) })),
})
