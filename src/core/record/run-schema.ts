import { z } from 'zod'
import { between, id, instant, text } from './bounds'

const waitSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('oven'), atLeastC: between(0, 1300) }),
  z.object({ kind: z.literal('oven-below'), atMostC: between(0, 1300) }),
  z.object({ kind: z.literal('seconds'), seconds: between(0, 1_000_000) }),
])

export const runStepSchema = z.object({
  id,
  kind: z.enum([
    'ready',
    'start',
    'load',
    'soak',
    'pull',
    'inspect',
    'cold-in',
    'cold-out',
    'temper-start',
    'temper-in',
    'temper-out',
    'measure',
  ]),
  title: text(60),
  action: text(80),
  detail: text(400),
  /** What must come first; null: confirm at once. */
  wait: waitSchema.nullable(),
  /** What the oven is set to while this step is the present one, °C; 0 is off. */
  ovenSetC: between(0, 1300),
  /** Blade packets this step moves. */
  pieces: z.array(text(20)).max(400),
  station: text(20),
})

export const runEventSchema = z.object({
  /** Seconds on the run's own clock. */
  atS: between(0, 100_000_000),
  kind: z.enum(['confirm', 'take-back', 'add-minutes', 'remark']),
  stepId: id,
  minutes: between(-60, 600).nullable(),
  text: text(1000),
})

export const runSchema = z.object({
  id,
  batchId: id,
  startedAt: instant,
  endedAt: instant.nullable(),
  mode: z.enum(['practice', 'shop']),
  /** The run's clock: from each real instant it goes on at a speed. */
  clock: z
    .array(z.object({ realMs: between(0, 1e14), runS: between(0, 1e9), speed: between(0, 600) }))
    .min(1)
    .max(2000),
  steps: z.array(runStepSchema).min(1).max(2000),
  events: z.array(runEventSchema).max(10_000),
})

export type Run = z.infer<typeof runSchema>
export type RunStep = z.infer<typeof runStepSchema>
export type RunEvent = z.infer<typeof runEventSchema>
