import * as z from 'zod/mini'
import { MOST } from './bounds'
import { bounded } from './fields'
import { rule } from './problems'
import type { ReadOnly } from './read-only'

export const targetSchema = z
  .object({ min: bounded('hrc'), max: bounded('hrc') })
  .check(z.refine(t => t.min < t.max, rule('target-upside-down', ['min'])))

export const temperSchema = z.object({ atC: bounded('temperC'), holdMin: bounded('holdMin') })

export const coldSchema = z.object({
  toC: bounded('coldC'),
  holdMin: bounded('holdMin'),
  delayMin: bounded('delayMin'),
  /** A short low temper before the cold, for shapes that crack. */
  snapTemperC: z.optional(bounded('snapTemperC')),
})

/** The whole thermal history planned for a blade. */
export const routeSchema = z.object({
  austenitizeC: bounded('austenitizeC'),
  soakMin: bounded('soakMin'),
  quenchedToC: bounded('quenchedToC'),
  cold: z.nullable(coldSchema),
  tempers: z.array(temperSchema).check(z.maxLength(MOST.tempers)),
  /** Structure the soak starts from; absent: annealed. */
  start: z.optional(z.enum(['annealed', 'lamellar', 'hardened'])),
  /** Seconds the blade took from 800 to 500 °C; absent: as fast as the steel needs. */
  seconds800to500: z.optional(bounded('seconds800to500')),
  /** Minutes in which the blade comes nearer to its cold by a factor e; absent: it is there well within the hold. */
  chillTauMin: z.optional(bounded('chillTauMin')),
})

/** Where in the route a reading was taken: 'temper-1' is after the first temper. */
export const stageSchema = z.enum([
  'as-quenched',
  'after-cold',
  'temper-1',
  'temper-2',
  'temper-3',
  'temper-4',
  'temper-5',
  'temper-6',
  'temper-7',
  'temper-8',
])

export type Target = ReadOnly<z.infer<typeof targetSchema>>
export type Temper = ReadOnly<z.infer<typeof temperSchema>>
export type PlannedRoute = ReadOnly<z.infer<typeof routeSchema>>
export type Stage = z.infer<typeof stageSchema>
