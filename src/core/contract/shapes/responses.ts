import * as z from 'zod/mini'
import { CORRECTED_BY } from '../../rockwell/verification'
import { routeSchema, stageSchema } from '../../shop/route'
import { pieceSchema } from './requests'

const DISSOLVED = ['C', 'N', 'Cr', 'Mo', 'W', 'V', 'Mn', 'Si', 'Ni'] as const

/** Answers are read, never changed. */
export const list = <T extends z.ZodMiniType>(item: T) => z.readonly(z.array(item))

export const estimate = z.object({ mean: z.number(), sd: z.number() })
const params = z.record(z.string(), z.unknown())
/** Something said as a code; over HTTP its sentence comes along. */
export const cautionSchema = z.object({ code: z.string(), params, message: z.optional(z.string()) })
/** A line of working; over HTTP its name, equation and source come along. */
export const workingSchema = z.object({
  code: z.string(),
  params,
  value: z.nullable(z.number()),
  unit: z.string(),
  name: z.optional(z.string()),
  equation: z.optional(z.string()),
  source: z.optional(z.string()),
})

/** A figure: a line of working with its interval and what it stands on. */
export const figureSchema = z.extend(workingSchema, {
  interval: z.nullable(z.object({ low: z.number(), high: z.number(), level: z.number() })),
  grounds: list(workingSchema),
})

export const predictResponse = z.object({
  hrc: z.object({ asQuenched: estimate, afterCold: z.nullable(estimate), afterTempers: list(estimate) }),
  martensiteStartC: z.number(),
  /** Sources of the finished hardness's uncertainty, one standard deviation each, HRC. */
  band: list(
    z.object({ part: z.string(), element: z.optional(z.string()), sd: z.number(), name: z.optional(z.string()) }),
  ),
  retainedAustenite: z.object({
    asQuenched: z.number(),
    afterCold: z.nullable(z.number()),
    afterTempers: list(z.number()),
    final: z.number(),
  }),
  /** Dissolved in the austenite, wt%. */
  austenite: z.object(
    Object.fromEntries(DISSOLVED.map(element => [element, z.number()])) as Record<
      (typeof DISSOLVED)[number],
      z.ZodMiniNumber
    >,
  ),
  carbideFraction: z.number(),
  corrosion: z.object({
    chromiumInSolution: z.number(),
    index: z.number(),
    stainless: z.boolean(),
    temperPenalty: z.number(),
    slowCoolingPenalty: z.number(),
  }),
  /** Undissolved carbide over what it takes to hold the grain: below 1 it coarsens. */
  grainPinning: z.number(),
  cautions: list(cautionSchema),
  working: list(workingSchema),
})

const rectangle = { xMm: z.number(), yMm: z.number(), acrossMm: z.number(), alongMm: z.number() }
const placement = z.object({ piece: z.int(), ...rectangle, rotated: z.boolean() })

export const foilResponse = z.object({
  pieces: list(pieceSchema),
  usedLengthMm: z.number(),
  lowerBoundMm: z.number(),
  /** Whether no plan of straight cuts can be shorter. */
  proven: z.boolean(),
  layout: list(placement),
  cuts: list(z.object({ yMm: z.number(), alongMm: z.number() })),
  /** Every cut in the order it is made. */
  shearing: list(
    z.object({ kind: z.enum(['across', 'along']), atMm: z.number(), fromMm: z.number(), toMm: z.number() }),
  ),
  leftovers: list(z.object(rectangle)),
  offcuts: list(z.object({ id: z.string(), layout: list(placement) })),
})

export const ovenResponse = z.object({
  segments: list(
    z.object({
      reachedMin: z.nullable(z.number()),
      endedMin: z.nullable(z.number()),
      endedKWh: z.nullable(z.number()),
    }),
  ),
  load: list(
    z.object({
      insertedMin: z.nullable(z.number()),
      withinFiveCMin: z.nullable(z.number()),
      soakMin: z.number(),
      steepestKPerMin: z.number(),
      skinAheadK: z.number(),
      peakC: z.number(),
    }),
  ),
  energyKWh: z.number(),
  curve: list(z.readonly(z.tuple([z.number(), z.number(), z.nullable(z.number())]))),
  cautions: list(cautionSchema),
})

export const quenchResponse = z.object({
  blades: list(
    z.object({
      secondsTo: z.record(z.string(), z.nullable(z.number())),
      plateStartC: z.number(),
      platePeakC: z.number(),
      leavesC: z.number(),
      rate800to500CPerS: z.nullable(z.number()),
    }),
  ),
  pauseAfter: z.nullable(z.int()),
  recoverS: z.number(),
  curve: list(z.readonly(z.tuple([z.number(), z.number(), z.number()]))),
  cautions: list(cautionSchema),
  working: list(workingSchema),
})

const refusal = z.object({
  gas: z.enum(['co2', 'nitrogen']),
  /** CO2 at its peak, ppm; oxygen at its least, %. */
  level: z.number(),
  neededAirChangesPerH: z.nullable(z.number()),
})

export const coldResponse = z.object({
  coolantKg: z.number(),
  coolantL: z.number(),
  gasM3: z.number(),
  /** Minutes until the blades are within 3 °C of a freezer's air; null where they are chilled by a coolant. */
  reachMin: z.nullable(z.number()),
  peak: z.object({
    co2Ppm: z.optional(z.number()),
    oxygenPercent: z.optional(z.number()),
    spillOxygenPercent: z.optional(z.number()),
  }),
  limits: list(
    z.object({
      name: z.string(),
      /** The limit's code, over HTTP beside its name in words. */
      code: z.optional(z.string()),
      limit: z.number(),
      gas: z.enum(['co2', 'oxygen']),
      unit: z.optional(z.string()),
      level: z.number(),
      kept: z.boolean(),
      reachedMin: z.nullable(z.number()),
      source: z.optional(z.string()),
    }),
  ),
  /** Air changes an hour that would keep to the limits; null: none would. */
  neededAirChangesPerH: z.nullable(z.number()),
  /** Why the plan is refused as it stands; null: it is not. */
  refused: z.nullable(z.union([refusal, z.string()])),
  /** The same in its parts, over HTTP. */
  refusal: z.optional(z.nullable(refusal)),
  cautions: list(cautionSchema),
  working: list(workingSchema),
})

export const rockwellResponse = z.object({
  mean: z.number(),
  corrected: z.number(),
  u95: z.number(),
  n: z.int(),
  outliers: list(z.number()),
  inTargetProbability: z.nullable(z.number()),
  minimumThicknessMm: z.number(),
  minimumSpacingMm: z.number(),
  minimumEdgeMm: z.number(),
  thickEnough: z.nullable(z.boolean()),
  /** Whether a check on a block corrects the mean, and why not. */
  correctedBy: z.enum(CORRECTED_BY),
  verification: z.nullable(z.object({ bias: z.number(), repeatability: z.number(), ok: z.boolean() })),
  /** With the files; null where none were given. */
  combined: z.nullable(
    z.object({
      mean: z.number(),
      sd: z.number(),
      low: z.number(),
      high: z.number(),
      inTargetProbability: z.nullable(z.number()),
    }),
  ),
  working: list(workingSchema),
})

export const adviceReasonSchema = z.object({
  measured: z.object({
    mean: z.number(),
    u95: z.number(),
    stage: stageSchema,
    by: z.optional(z.enum(['readings', 'files'])),
    degreesOfFreedom: z.optional(z.number()),
  }),
  wanted: z.object({ min: z.number(), max: z.number() }),
  changeHrc: z.number(),
  robsChromium: z.boolean(),
  lostCorrosion: z.number(),
  lateCold: z.boolean(),
  leavesRange: z.nullable(z.object({ minC: z.number(), maxC: z.number() })),
  notByHardness: z.boolean(),
})

export const optionSchema = z.object({
  kind: z.enum(['accept', 'temper', 'cold', 'anneal-and-reharden', 'scrap']),
  temper: z.nullable(z.object({ atC: z.number(), holdMin: z.number() })),
  cold: z.nullable(
    z.object({ toC: z.number(), holdMin: z.number(), delayMin: z.number(), snapTemperC: z.optional(z.number()) }),
  ),
  anneal: z.nullable(
    z.object({
      atC: z.number(),
      holdMin: z.number(),
      coolCPerH: z.number(),
      downToC: z.number(),
      source: z.string(),
    }),
  ),
  again: z.nullable(routeSchema),
  oil: z.nullable(z.enum(['medium-oil', 'fast-oil'])),
  hrc: estimate,
  missHrc: z.number(),
  inTargetProbability: z.number(),
  hours: z.number(),
  corrosion: z.number(),
  risk: z.enum(['low', 'some', 'high']),
  /** Grounds of the option; over HTTP a sentence, with the grounds beside it. */
  why: z.union([adviceReasonSchema, z.string()]),
  grounds: z.optional(adviceReasonSchema),
  steps: z.optional(list(z.string())),
})

const optionKind = optionSchema.shape.kind

/** Why the first option is first; over HTTP a sentence. */
export const firstReasonSchema = z.object({
  by: z.enum(['only', 'chance', 'nearer', 'effort', 'corrosion']),
  against: z.nullable(optionKind),
  chance: z.number(),
  otherChance: z.number(),
  turns: z.nullable(z.object({ readingHrc: z.number(), to: optionKind })),
})

/** How near a grade comes to a target, and what limits it. */
export const reachResponse = z.object({
  target: z.object({ min: z.number(), max: z.number() }),
  route: routeSchema,
  hrc: estimate,
  missHrc: z.number(),
  limits: list(
    z.object({
      what: z.enum(['cold', 'oven', 'secondary-peak', 'austenite', 'carbon']),
      gainHrc: z.number(),
      toC: z.nullable(z.number()),
    }),
  ),
  others: list(z.object({ id: z.string(), name: z.string(), hrc: z.number() })),
  /** All of it as sentences; over HTTP. */
  says: z.optional(list(z.string())),
})

export const adviseResponse = z.object({
  options: list(optionSchema),
  first: z.nullable(z.union([firstReasonSchema, z.string()])),
  /** Where a grade's reading misses the target: what a hardening begun anew would reach; null otherwise. */
  whyNot: z.nullable(reachResponse),
})

export const errorResponse = z.object({
  error: z.object({
    code: z.string(),
    message: z.string(),
    issues: list(z.object({ code: z.string(), path: z.string(), message: z.string() })),
  }),
})
