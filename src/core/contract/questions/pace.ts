import { z } from 'zod'
import { ok } from '../../codes/result'
import { paceOf } from '../../quench/pace'
import { BOUNDS, between, bounded, MOST } from '../../shop/bounds'
import { question } from '../question'
import { quenchRequest } from '../shapes'
import { paceSchema } from '../shapes/figures'

const { blade, plates } = quenchRequest.shape
const onlyPlates = plates.omit({ startC: true, cooling: true })

export const pace = question({
  summary: 'A second-by-second pull list: when each blade may come, and when plates must rest',
  request: z.object({
    blades: z
      .array(blade.extend({ id: z.string().max(120), fromC: between(100, 1300), martensiteStartC: between(-100, 500) }))
      .min(1)
      .max(MOST.bladesInBatch)
      .readonly(),
    plates: onlyPlates,
    plateStartC: between(-40, 300),
    sets: z.union([z.literal(1), z.literal(2)]),
    people: z.union([z.literal(1), z.literal(2)]),
    contactWPerM2K: bounded('contactWPerM2K'),
    airWPerM2K: between(0, BOUNDS.plateAirWPerM2K.max),
    restWPerM2K: between(0, BOUNDS.plateAirWPerM2K.max),
    ambientC: between(-20, 50),
    doorRecoveryS: between(0, 3600),
  }),
  response: paceSchema,
  answer: request => ok(paceOf(request)),
})
