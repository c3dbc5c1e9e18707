import * as z from 'zod/mini'
import { certificatesOf } from '../../certificate/certificate'
import { ok } from '../../codes/result'
import { type BatchGroup, batchSchema } from '../../shop/batch'
import { id, instant } from '../../shop/fields'
import { ovenLogSchema } from '../../shop/oven-log'
import { readingSchema } from '../../shop/reading'
import { runSchema } from '../../shop/run'
import { workshopSchema } from '../../shop/workshop'
import { experienceOf } from '../experience'
import { question } from '../question'
import { list } from '../shapes'
import { certificateSchema, certifiedPictureSchema } from '../shapes/certificate'

export const certificates = question({
  summary: 'Certificates of every blade of a batch, in the order of the tray',
  request: z.object({
    batch: batchSchema,
    shop: workshopSchema,
    readings: list(readingSchema),
    runs: list(runSchema),
    logs: list(ovenLogSchema),
    pictures: list(z.extend(certifiedPictureSchema, { bladeId: id })),
    issuedAt: instant,
  }),
  response: list(certificateSchema),
  answer: ({ issuedAt, ...sources }, memory) => {
    const { batch, shop } = sources
    const learnt = (group: BatchGroup) => experienceOf(memory, batch, group, shop.learning !== false)
    return ok(certificatesOf({ ...sources, experienceOf: learnt }, issuedAt))
  },
})
