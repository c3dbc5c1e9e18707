import * as z from 'zod/mini'
import { INCIDENT_NAMES, SAFE_STATE, STOP_REASONS } from '../../data/incidents'
import { bladeSizeSchema } from './blade'
import { MOST } from './bounds'
import { between, bounded, id, instant, textUpTo, wholeBetween } from './fields'
import type { ReadOnly } from './read-only'

const waitSchema = z.discriminatedUnion('kind', [
  /** Until the oven shows at least so much, and no more than so much: too hot is not ready either. °C as shown. */
  z.object({ kind: z.literal('oven'), atLeastC: between(0, 1300), atMostC: z.optional(between(0, 1400)) }),
  z.object({ kind: z.literal('oven-below'), atMostC: between(0, 1300) }),
  z.object({ kind: z.literal('seconds'), seconds: between(0, 1_000_000) }),
  /**
   * Until a blade's own soak is over, counted from when the blade was at heat, and door, hands and plates are ready: so long after
   * the pull before, s, with a helper and without one.
   */
  z.object({
    kind: z.literal('soak'),
    bladeId: id,
    apartS: between(0, 100_000),
    apartAloneS: between(0, 100_000),
  }),
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
  /** Condition to wait for; null: confirm at once. */
  wait: z.nullable(waitSchema),
  /** Set point of the oven while this step is the present one, °C; 0 is off. */
  ovenSetC: between(0, 1300),
  /** Blades this step moves or counts. */
  bladeIds: z.array(id).check(z.maxLength(MOST.storedBlades)),
  station: z.string().check(z.maxLength(20)),
  /** Values named in the step's text; those a kind does not name are absent. */
  names: z.object({
    /** Next set point, and the equalising temperature, °C as keyed. */
    setC: z.optional(between(0, 1400)),
    atC: z.optional(between(-200, 1400)),
    holdMin: z.optional(bounded('holdMin')),
    round: z.optional(wholeBetween(1, MOST.tempers)),
    thicknessMm: z.optional(between(0, 50)),
    /** The blade that leaves the plates before this one goes in, and how long the plates rest, s. */
    afterBladeId: z.optional(id),
    restS: z.optional(between(0, 100_000)),
    /** Quenched in oil, not between plates. */
    oil: z.optional(z.boolean()),
    /** Tempered in the oven that hardened. */
    sameOven: z.optional(z.boolean()),
  }),
  /** As earlier versions worded it. */
  told: z.optional(
    z.object({
      title: z.string().check(z.maxLength(60)),
      action: z.string().check(z.maxLength(80)),
      detail: z.string().check(z.maxLength(400)),
    }),
  ),
})

/**
 * Seconds on the run's own clock; `pressedS` where it was corrected by hand: when it was really pressed; `on`: the screen it was pressed
 * on, by its name, where a workshop has several.
 */
const moment = {
  id,
  atS: between(0, 100_000_000),
  pressedS: z.optional(between(0, 100_000_000)),
  on: z.optional(z.string().check(z.maxLength(60))),
}

export const runEventSchema = z.discriminatedUnion('kind', [
  z.object({
    ...moment,
    kind: z.literal('confirm'),
    stepId: id,
    /** Of a pull: what the blade had soaked, s, by the oven's model or its log. */
    soakedS: z.optional(between(0, 1_000_000)),
  }),
  /** Takes back an event; where none is named, what was done last and not yet taken back. */
  z.object({ ...moment, kind: z.literal('take-back'), of: z.optional(id) }),
  z.object({ ...moment, kind: z.literal('add-minutes'), stepId: id, minutes: between(-60, 600) }),
  z.object({ ...moment, kind: z.literal('remark'), text: textUpTo('remark') }),
  /** Display temperature of the oven, °C. */
  z.object({ ...moment, kind: z.literal('shows'), c: between(-50, 1400), by: z.enum(['hand', 'controller']) }),
  z.object({
    ...moment,
    kind: z.literal('incident'),
    incident: z.enum(INCIDENT_NAMES),
    bladeIds: z.array(id).check(z.maxLength(MOST.storedBlades)),
    /** How long it lasted or is to be waited, s; until `atS` for what had passed when it was said. */
    seconds: between(0, 1_000_000),
    text: textUpTo('remark'),
    /** Of a cut of power with blades in the oven: whether what they had soaked counts. Absent: not said yet. */
    afterCut: z.optional(z.enum(['go-on', 'soak-anew'])),
    /** It has not passed yet: the oven does not heat since it was called. Absent: it had passed. */
    stillOff: z.optional(z.boolean()),
  }),
  /** Called off: why, and what was made safe. */
  z.object({
    ...moment,
    kind: z.literal('stop'),
    reason: z.enum(STOP_REASONS),
    safe: z.array(z.enum(SAFE_STATE)).check(z.maxLength(SAFE_STATE.length)),
    text: textUpTo('remark'),
  }),
])

/** A blade as it went into a run: what its clock needs, whatever becomes of its batch meanwhile. */
export const runBladeSchema = z.extend(bladeSizeSchema, {
  bladeId: id,
  batchId: id,
  /** How freely it sees the chamber, 0..1. */
  view: between(0, 1),
  austenitizeC: between(0, 1300),
  /** Its planned soak, and the longest its steel should, min; null where that is not known. */
  soakMin: between(0, 6000),
  longestMin: z.nullable(between(0, 100_000)),
  /** How long it is expected to be behind its oven at full heat, s. */
  lagS: between(0, 100_000),
  /** The set of plates it goes between, from 1, 0 for oil, and what they are expected to stand at, °C. */
  set: wholeBetween(0, 2),
  platesC: between(-50, 1300),
})

export const runSchema = z.object({
  id,
  /** The batches that are run together; the first gave the run its oven. */
  batchIds: z.array(id).check(z.minLength(1), z.maxLength(20)),
  startedAt: instant,
  endedAt: z.nullable(instant),
  mode: z.enum(['practice', 'shop']),
  people: z.union([z.literal(1), z.literal(2)]),
  /** Practice in which things go wrong: how much, and the seed they come from. */
  drill: z.optional(
    z.object({ level: z.union([z.literal(1), z.literal(2), z.literal(3)]), seed: wholeBetween(0, 1e9) }),
  ),
  /** The run's clock: from each real instant it goes on at a speed, until the next. */
  clock: z
    .array(z.object({ realMs: between(0, 1e14), runS: between(0, 1e9), speed: between(0.01, 600) }))
    .check(z.minLength(1), z.maxLength(2000)),
  /** Question about the clock that nobody has answered yet: until then no hold is ready by the doubtful time. Absent: none. */
  asked: z.optional(
    z.object({
      kind: z.enum(['ahead', 'away', 'set-back']),
      /** How far the clock leapt, or how long the page was gone, s; 0 for 'set-back'. */
      byS: between(0, 1e9),
      /** Second of the run's clock that is sure. */
      seenS: between(0, 1e9),
    }),
  ),
  steps: z.array(runStepSchema).check(z.minLength(1), z.maxLength(2000)),
  /** Blades that are hardened in it; none in a run of tempers alone, and in those of earlier versions. */
  blades: z.array(runBladeSchema).check(z.maxLength(MOST.storedBlades)),
  events: z.array(runEventSchema).check(z.maxLength(10_000)),
  /** Events that were taken out again: another screen’s copy of the run does not bring them back. Absent: none. */
  takenOut: z.optional(z.array(id).check(z.maxLength(10_000))),
})

export type Run = ReadOnly<z.infer<typeof runSchema>>
export type RunStep = ReadOnly<z.infer<typeof runStepSchema>>
export type RunEvent = ReadOnly<z.infer<typeof runEventSchema>>
export type RunBlade = ReadOnly<z.infer<typeof runBladeSchema>>
export type RunClock = Run['clock']
export type StepKind = RunStep['kind']
