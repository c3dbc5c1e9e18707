import { z } from 'zod'
import { pieceSchema } from './api-requests'

/** Answers are read, never changed. */
export const list = <T extends z.ZodType>(item: T) => z.array(item).readonly()

export const estimate = z.object({ mean: z.number(), sd: z.number() })
const caution = z.object({ code: z.string(), message: z.string() })
export const workingSchema = z.object({
  name: z.string(),
  value: z.union([z.number(), z.string()]),
  unit: z.string(),
  equation: z.string(),
  source: z.string(),
})

export const predictResponse = z.object({
  hrc: z.object({ asQuenched: estimate, afterCold: estimate.nullable(), afterTempers: list(estimate) }),
  martensiteStartC: z.number(),
  /** What the finished band is made of, one sigma each, HRC. */
  band: list(z.object({ name: z.string(), sd: z.number() })),
  retainedAustenite: z.object({
    asQuenched: z.number(),
    afterCold: z.number().nullable(),
    afterTempers: list(z.number()),
    final: z.number(),
  }),
  austenite: z.record(z.string(), z.number()),
  carbideFraction: z.number(),
  corrosion: z.object({
    chromiumInSolution: z.number(),
    index: z.number(),
    temperPenalty: z.number(),
    slowCoolingPenalty: z.number(),
  }),
  /** Undissolved carbide over what it takes to hold the grain: below 1 it coarsens. */
  grainPinning: z.number(),
  cautions: list(caution),
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
      reachedMin: z.number().nullable(),
      endedMin: z.number().nullable(),
      endedKWh: z.number().nullable(),
    }),
  ),
  load: list(
    z.object({
      insertedMin: z.number().nullable(),
      withinFiveCMin: z.number().nullable(),
      soakMin: z.number(),
      steepestKPerMin: z.number(),
      skinAheadK: z.number(),
      peakC: z.number(),
    }),
  ),
  energyKWh: z.number(),
  curve: list(z.tuple([z.number(), z.number(), z.number().nullable()]).readonly()),
  cautions: list(caution),
})

export const quenchResponse = z.object({
  blades: list(
    z.object({
      secondsTo: z.record(z.string(), z.number().nullable()),
      plateStartC: z.number(),
      platePeakC: z.number(),
      leavesC: z.number(),
      rate800to500CPerS: z.number().nullable(),
    }),
  ),
  pauseAfter: z.int().nullable(),
  recoverS: z.number(),
  curve: list(z.tuple([z.number(), z.number(), z.number()]).readonly()),
  cautions: list(caution),
  working: list(workingSchema),
})

export const coldResponse = z.object({
  coolantKg: z.number(),
  coolantL: z.number(),
  gasM3: z.number(),
  peak: z.object({ co2Ppm: z.number().optional(), oxygenPercent: z.number().optional() }),
  limits: list(
    z.object({
      name: z.string(),
      limit: z.number(),
      unit: z.enum(['ppm CO2', '% oxygen']),
      level: z.number(),
      kept: z.boolean(),
      reachedMin: z.number().nullable(),
      source: z.string(),
    }),
  ),
  /** Air changes an hour that would keep to the limits; null: none would. */
  neededAirChangesPerH: z.number().nullable(),
  /** Why the plan is refused as it stands; null: it is not. */
  refused: z.string().nullable(),
  cautions: list(caution),
  working: list(workingSchema),
})

export const rockwellResponse = z.object({
  mean: z.number(),
  corrected: z.number(),
  u95: z.number(),
  n: z.int(),
  outliers: list(z.number()),
  inTargetProbability: z.number().nullable(),
  minimumThicknessMm: z.number(),
  minimumSpacingMm: z.number(),
  minimumEdgeMm: z.number(),
  thickEnough: z.boolean().nullable(),
  verification: z.object({ bias: z.number(), repeatability: z.number(), ok: z.boolean() }).nullable(),
  /** With the files; null where none were given. */
  combined: z
    .object({
      mean: z.number(),
      sd: z.number(),
      low: z.number(),
      high: z.number(),
      inTargetProbability: z.number().nullable(),
    })
    .nullable(),
  working: list(workingSchema),
})

export const adviseResponse = z.object({
  options: list(
    z.object({
      kind: z.enum(['accept', 'temper', 'cold', 'anneal-and-reharden', 'scrap']),
      steps: list(z.string()),
      temper: z.object({ atC: z.number(), holdMin: z.number() }).nullable(),
      cold: z.object({ toC: z.number(), holdMin: z.number(), delayMin: z.number() }).nullable(),
      hrc: estimate,
      inTargetProbability: z.number(),
      hours: z.number(),
      corrosion: z.number(),
      risk: z.enum(['low', 'some', 'high']),
      why: z.string(),
    }),
  ),
})

export const errorResponse = z.object({
  error: z.object({
    code: z.string(),
    message: z.string(),
    issues: list(z.object({ path: z.string(), message: z.string() })),
  }),
})
