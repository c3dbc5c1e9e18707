import { z } from 'zod'
import { INCIDENT_NAMES } from '../../../data/incidents'
import { PICTURE_SUBJECTS } from '../../shop/picture'
import type { ReadOnly } from '../../shop/read-only'
import { stageSchema } from '../../shop/route'
import { runStepSchema } from '../../shop/run'
import { list } from '../shapes'

const hold = z.object({ meanC: z.number(), heldMin: z.number() }).nullable()
const step = z.object({ atC: z.number(), holdMin: z.number() })

/** A picture as a certificate names it. */
export const certifiedPictureSchema = z.object({
  of: z.enum(PICTURE_SUBJECTS),
  at: z.string(),
  note: z.string(),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
})

export const certificateSchema = z.object({
  format: z.literal('tawny-ember-certificate'),
  version: z.literal(5),
  shop: z.string(),
  issuedAt: z.string(),
  blade: z.string(),
  serial: z.string(),
  batch: z.string(),
  finished: z.boolean(),
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
  pictures: list(certifiedPictureSchema),
})

/** A certificate's file of any version that has a digest: version 4 named no pictures. */
export const certificateFileSchema = z.discriminatedUnion('version', [
  certificateSchema,
  certificateSchema.omit({ pictures: true }).extend({ version: z.literal(4) }),
])
export type CertificateFile = ReadOnly<z.infer<typeof certificateFileSchema>>
