import { z } from 'zod'
import { INCIDENT_NAMES } from '../../../data/incidents'
import { ok } from '../../codes/result'
import { certificatesOf } from '../../job/certificate'
import { batchSchema } from '../../shop/batch'
import { instant } from '../../shop/bounds'
import { ovenLogSchema } from '../../shop/oven-log'
import { readingSchema } from '../../shop/reading'
import { stageSchema } from '../../shop/route'
import { runSchema, runStepSchema } from '../../shop/run'
import { workshopSchema } from '../../shop/workshop'
import { question } from '../question'
import { list } from '../shapes'

const hold = z.object({ meanC: z.number(), heldMin: z.number() }).nullable()
const step = z.object({ atC: z.number(), holdMin: z.number() })

const certificate = z.object({
  format: z.literal('tawny-ember-certificate'),
  version: z.literal(3),
  shop: z.string(),
  issuedAt: z.string(),
  blade: z.string(),
  serial: z.string(),
  batch: z.string(),
  grade: z.string(),
  lot: z.string().nullable(),
  sizeMm: z.object({ length: z.number(), width: z.number(), thickness: z.number() }),
  oven: z.string(),
  route: z.object({
    austenitizeC: z.number(),
    soakMin: z.number(),
    cold: z.object({ toC: z.number(), holdMin: z.number() }).nullable(),
    tempers: list(step),
  }),
  measured: z.object({ heat: hold, tempers: list(hold) }),
  happened: list(z.object({ step: runStepSchema, at: z.string(), corrected: z.boolean() })),
  incidents: list(z.object({ incident: z.enum(INCIDENT_NAMES), at: z.string(), seconds: z.number() })),
  soakedMin: z.number().nullable(),
  hardness: list(
    z.object({
      stage: stageSchema,
      readings: list(z.number()),
      roundFace: z.boolean(),
      hrc: z.number(),
      u95: z.number(),
      corrected: z.boolean(),
      uncheckedTester: z.boolean(),
    }),
  ),
  target: z.object({ min: z.number(), max: z.number() }),
  inTargetProbability: z.number().nullable(),
})

export const certificates = question({
  summary: 'Certificates of every blade of a batch, in the order of the tray',
  request: z.object({
    batch: batchSchema,
    shop: workshopSchema,
    readings: list(readingSchema),
    runs: list(runSchema),
    logs: list(ovenLogSchema),
    issuedAt: instant,
  }),
  response: list(certificate),
  answer: ({ issuedAt, ...sources }) => ok(certificatesOf(sources, issuedAt)),
})
