import * as z from 'zod/mini'
import { INCIDENT_NAMES } from '../../../data/incidents'
import { PICTURE_SUBJECTS } from '../../shop/picture'
import type { ReadOnly } from '../../shop/read-only'
import { stageSchema } from '../../shop/route'
import { runStepSchema } from '../../shop/run'
import { list } from '../shapes'

const hold = z.nullable(z.object({ meanC: z.number(), heldMin: z.number() }))
const step = z.object({ atC: z.number(), holdMin: z.number() })

/** A picture as a certificate names it. */
export const certifiedPictureSchema = z.object({
  of: z.enum(PICTURE_SUBJECTS),
  at: z.string(),
  note: z.string(),
  sha256: z.string().check(z.regex(/^[0-9a-f]{64}$/)),
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
  lot: z.nullable(z.string()),
  sizeMm: z.object({ length: z.number(), width: z.number(), thickness: z.number() }),
  oven: z.string(),
  route: z.object({
    austenitizeC: z.number(),
    soakMin: z.number(),
    cold: z.nullable(z.object({ toC: z.number(), holdMin: z.number() })),
    tempers: list(step),
  }),
  measured: z.object({ heat: hold, tempers: list(hold) }),
  happened: list(z.object({ step: runStepSchema, at: z.string(), corrected: z.boolean() })),
  incidents: list(z.object({ incident: z.enum(INCIDENT_NAMES), at: z.string(), seconds: z.number() })),
  soakedMin: z.nullable(z.number()),
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
  inTargetProbability: z.nullable(z.number()),
  pictures: list(certifiedPictureSchema),
})

/** A certificate's file of any version that has a digest: version 4 named no pictures. */
export const certificateFileSchema = z.discriminatedUnion('version', [
  certificateSchema,
  z.extend(z.omit(certificateSchema, { pictures: true }), { version: z.literal(4) }),
])
/** Schema of a file of certificates: one, or those of a batch. */
export const certificateFilesSchema = z.array(certificateFileSchema)
export type CertificateFile = ReadOnly<z.infer<typeof certificateFileSchema>>
