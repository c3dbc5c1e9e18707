import { z } from 'zod'
import { between, bounded, id, instant, MOST, textUpTo } from './bounds'
import type { ReadOnly } from './read-only'

const waitSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('oven'), atLeastC: between(0, 1300) }),
  z.object({ kind: z.literal('oven-below'), atMostC: between(0, 1300) }),
  z.object({ kind: z.literal('seconds'), seconds: between(0, 1_000_000) }),
])

export const STEP_KINDS = [
  'ready',
  'oven-on',
  'oven-on-loaded',
  'load',
  'equalise',
  'full-heat',
  'pull',
  'unclamp',
  'oven-off',
  'inspect',
  'cold-in',
  'cold-out',
  'temper-cool',
  'temper-start',
  'temper-in',
  'temper-out',
  'measure',
] as const

export const runStepSchema = z.object({
  id,
  kind: z.enum(STEP_KINDS),
  /** What must come first; null: confirm at once. */
  wait: waitSchema.nullable(),
  /** What the oven is set to while this step is the present one, °C; 0 is off. */
  ovenSetC: between(0, 1300),
  /** Blades this step moves or counts. */
  bladeIds: z.array(id).max(MOST.storedBlades),
  station: z.string().max(20),
  /** What the step's words name beside its kind; what a kind does not name is absent. */
  names: z.object({
    /** What the oven is set to next, and what it equalises at, °C as keyed. */
    setC: between(0, 1400).optional(),
    atC: between(-200, 1400).optional(),
    holdMin: bounded('holdMin').optional(),
    round: z.int().min(1).max(MOST.tempers).optional(),
    thicknessMm: between(0, 50).optional(),
    /** The blade that leaves the plates before this one goes in, and how long the plates rest, s. */
    afterBladeId: id.optional(),
    restS: between(0, 100_000).optional(),
    /** Quenched in oil, not between plates. */
    oil: z.boolean().optional(),
    /** Tempered in the oven that hardened. */
    sameOven: z.boolean().optional(),
  }),
  /** As earlier versions worded it. */
  told: z.object({ title: z.string().max(60), action: z.string().max(80), detail: z.string().max(400) }).optional(),
})

export const runEventSchema = z.object({
  /** Seconds on the run's own clock. */
  atS: between(0, 100_000_000),
  kind: z.enum(['confirm', 'take-back', 'add-minutes', 'remark']),
  stepId: id,
  minutes: between(-60, 600).nullable(),
  text: textUpTo('remark'),
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

export type Run = ReadOnly<z.infer<typeof runSchema>>
export type RunStep = ReadOnly<z.infer<typeof runStepSchema>>
export type RunEvent = ReadOnly<z.infer<typeof runEventSchema>>
export type StepKind = RunStep['kind']
