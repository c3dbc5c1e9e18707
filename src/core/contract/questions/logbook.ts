import * as z from 'zod/mini'
import { ok } from '../../codes/result'
import { logRows } from '../../logbook/logbook'
import { stageSchema } from '../../shop/route'
import { question } from '../question'
import { list } from '../shapes'

const rows = list(
  z.object({
    key: z.string(),
    at: z.string(),
    batchId: z.string(),
    batch: z.string(),
    gradeName: z.string(),
    bladeId: z.string(),
    mark: z.string(),
    serial: z.string(),
    stage: stageSchema,
    hrc: z.number(),
    n: z.int(),
    predicted: z.nullable(z.number()),
    off: z.nullable(z.number()),
    inTarget: z.boolean(),
    about: list(z.string()),
  }),
)

export const logbook = question({
  summary: 'Every blade that was read, by stage, beside what was predicted; newest first',
  request: z.object({}),
  response: rows,
  answer: (_, { log }) => ok(logRows(log.readings, log.batches, log.tester)),
})

export const logbookNewest = question({
  summary: 'The same of the newest batches alone: there at once, however long the log',
  request: z.object({}),
  response: rows,
  answer: (_, { newest }) => ok(logRows(newest.readings, newest.batches, newest.tester)),
})
