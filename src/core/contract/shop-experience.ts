import { z } from 'zod'
import type { ShopExperience } from '../steel/predict'

const standing = {
  gradeId: z.string(),
  lot: z.string(),
  ovenId: z.string(),
  day: z.number(),
  austenitizeC: z.number(),
  coldC: z.number(),
  parameter: z.number().nullable(),
}

const shopModelSchema = z.object({
  strength: z.number(),
  rows: z.array(z.object(standing)).max(400),
  alpha: z.array(z.number()).max(400),
  inverse: z.array(z.array(z.number()).max(400)).max(400),
  readings: z.record(z.string(), z.number()),
  lastDay: z.number(),
})

/** What the shop's readings add, as it goes to the worker and comes back. */
export const shopExperienceSchema: z.ZodType<ShopExperience, ShopExperience> = z.object({
  model: shopModelSchema,
  lot: z.string(),
  ovenId: z.string(),
})
