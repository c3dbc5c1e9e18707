import { z } from 'zod'
import { plateQuench } from '../../quench/plate-quench'
import { ok } from '../../result'
import { workingSchema } from '../api'
import { question } from '../question'

const positive = (max: number) => z.number().gt(0).max(max)
const size = z.object({ thicknessMm: positive(100), widthMm: positive(500), lengthMm: positive(2000) })
const temperature = z.number().min(-200).max(1400)

export const plates = question({
  summary: 'One blade between plates, lumped',
  request: z.object({
    blade: size,
    fromC: temperature,
    plates: size,
    plateStartC: temperature,
    contactWPerM2K: positive(10_000),
    airWPerM2K: positive(1000),
    martensiteStartC: temperature,
    ambientC: temperature,
  }),
  response: z.object({
    secondsTo: z.record(z.string(), z.number().nullable()),
    plateEndC: z.number(),
    platePeakC: z.number(),
    curve: z.array(z.tuple([z.number(), z.number(), z.number()]).readonly()).readonly(),
    working: z.array(workingSchema).readonly(),
  }),
  answer: request => ok(plateQuench(request)),
})
