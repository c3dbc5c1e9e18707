import * as z from 'zod/mini'
import { fitPlates } from '../../quench/fit-plates'
import { between, bounded } from '../../shop/fields'
import { question } from '../question'
import { quenchRequest } from '../shapes'

const reading = z.object({ afterS: bounded('plateReadAfterS'), plateC: bounded('plateReadC') })

export const plateFit = question({
  summary: 'Contact and air of a maker’s own plates, from two readings of a thermometer',
  request: z.object({
    blade: quenchRequest.shape.blade,
    fromC: between(100, 1300),
    plates: z.omit(quenchRequest.shape.plates, { startC: true, cooling: true }),
    startC: bounded('plateStartC'),
    ambientC: between(-20, 50),
    martensiteStartC: between(-100, 500),
    clamped: reading,
    cooled: z.nullable(reading),
  }),
  response: z.object({
    contactWPerM2K: z.number(),
    airWPerM2K: z.nullable(z.number()),
    contactRange: z.readonly(z.tuple([z.number(), z.number()])),
    contactSure: z.boolean(),
  }),
  answer: fitPlates,
})
