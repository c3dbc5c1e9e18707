import { z } from 'zod'
import { type Pace, paceOf } from '../../quench/pace'
import { ok } from '../../result'
import { quenchRequest } from '../api'
import { between } from '../bounds'
import { question } from '../question'

const { blade, plates } = quenchRequest.shape
const onlyPlates = plates.omit({ startC: true, cooling: true })

export const pace = question({
  summary: 'A second-by-second pull list: when each blade may come, and when plates must rest',
  request: z.object({
    blades: z
      .array(
        blade.extend({ mark: z.string().max(20), fromC: between(100, 1300), martensiteStartC: between(-100, 500) }),
      )
      .min(1)
      .max(60)
      .readonly(),
    plates: onlyPlates,
    plateStartC: between(-40, 300),
    sets: z.union([z.literal(1), z.literal(2)]),
    people: z.union([z.literal(1), z.literal(2)]),
    contactWPerM2K: between(10, 10_000),
    airWPerM2K: between(0, 1000),
    restWPerM2K: between(0, 1000),
    ambientC: between(-20, 50),
    doorRecoveryS: between(0, 3600),
  }),
  response: z.custom<Pace>(),
  answer: request => ok(paceOf(request)),
})
