import { z } from 'zod'
import { BATHS, type BathFluid } from '../../data/cold'
import { PLATE_METALS, type PlateMetal } from '../../data/thermal'
import { QUENCH_MEDIA } from '../quench/quench'
import { gradeNames } from '../steel/grades'
import { compositionSchema, gradeSheetSchema } from './grade-sheet'
import { bladeSchema, bounded, envelopeSchema, routeSchema, stageSchema, symptomSchema, targetSchema } from './schemas'

export const steelSchema = z.union(
  [
    z.strictObject({ grade: z.enum(gradeNames() as [string, ...string[]]) }),
    z.strictObject({ composition: compositionSchema, made: z.enum(['ingot', 'powder']).optional() }),
    z.strictObject({ sheet: gradeSheetSchema }),
  ],
  { error: `give {"grade": one of ${gradeNames().join(', ')}} or {"composition": {"C": wt%, …}}` },
)

export const predictRequest = z.object({ steel: steelSchema, route: routeSchema })

const pieceSchema = z.object({
  lengthMm: z.number().min(1).max(5000),
  widthMm: z.number().min(1).max(5000),
  count: z.int().min(1).max(400),
})

const foilCommon = {
  rollWidthMm: z.number().min(50).max(2000),
  rotate: z.boolean(),
  longestSectionMm: z.number().min(1).max(20_000).nullable().optional(),
  /** Pieces from another day, used first. */
  offcuts: z
    .array(
      z.object({
        id: z.string().max(64),
        widthMm: z.number().min(20).max(2000),
        lengthMm: z.number().min(20).max(20_000),
      }),
    )
    .max(60)
    .optional(),
}

export const foilRequest = z.union(
  [
    z.object({
      ...foilCommon,
      envelope: envelopeSchema,
      blades: z
        .array(bladeSchema.pick({ lengthMm: true, widthMm: true, thicknessMm: true, count: true }))
        .min(1)
        .max(100),
    }),
    z.object({ ...foilCommon, pieces: z.array(pieceSchema).min(1).max(100) }),
  ],
  { error: 'give rollWidthMm, rotate and either envelope with blades, or pieces' },
)

const readingValue = z.number().min(5).max(70)

export const blockSchema = z.object({
  certifiedHrc: bounded('hrc'),
  certifiedSd: z.number().min(0).max(3),
  readings: z.array(readingValue).min(1).max(50),
})

export const rockwellRequest = z.object({
  readings: z.array(readingValue).min(1).max(500),
  block: blockSchema.nullable().optional(),
  thicknessMm: bounded('bladeThicknessMm').optional(),
  target: targetSchema.nullable().optional(),
  /** Files tried on the same steel, combined with the readings by likelihood. */
  files: z
    .array(z.object({ skates: readingValue.nullable(), bites: readingValue.nullable() }))
    .max(50)
    .optional(),
})

export const adviseRequest = z.object({
  steel: steelSchema,
  route: routeSchema,
  reading: z.object({ mean: readingValue, u95: z.number().min(0).max(20), stage: stageSchema }),
  target: targetSchema,
  symptom: symptomSchema.optional(),
  can: z.object({ coldToC: bounded('coldC').nullable(), anneal: z.boolean() }),
})

const chamberSide = z.number().min(40).max(2000)

export const ovenRequest = z.object({
  oven: z.union(
    [
      z.strictObject({ preset: z.enum(['small', 'medium', 'large']) }),
      z.strictObject({
        powerW: z.number().min(200).max(50_000),
        chamberMm: z.object({ width: chamberSide, height: chamberSide, depth: chamberSide }),
        build: z.object({
          layers: z
            .array(z.object({ material: z.enum(['brick', 'fibre', 'board']), mm: z.number().min(2).max(300) }))
            .min(1)
            .max(4)
            .readonly(),
          leakWPerK: z.number().min(0).max(20),
          element: z.object({ areaM2: z.number().min(0.005).max(3), capacityJPerK: z.number().min(20).max(20_000) }),
          furnitureJPerK: z.number().min(10).max(50_000),
          /** Factors a log taught on the wall's conductivity and heat capacity. */
          wall: z.object({ k: z.number().min(0.2).max(5), c: z.number().min(0.2).max(5) }).optional(),
        }),
      }),
    ],
    { error: 'give {"preset": small, medium or large}, or powerW, chamberMm and build' },
  ),
  startC: z.number().min(-20).max(1300),
  segments: z
    .array(
      z.object({
        rateCPerH: z.number().min(1).max(20_000).nullable(),
        targetC: z.number().min(20).max(1300),
        holdMin: z.number().min(0).max(1440),
      }),
    )
    .min(1)
    .max(20),
  load: z
    .array(
      bladeSchema.pick({ lengthMm: true, widthMm: true, thicknessMm: true, count: true }).extend({
        atMin: z.number().min(0).max(1440).optional(),
        view: z.number().min(0.05).max(1).optional(),
        whenOvenC: z.number().min(20).max(1300).optional(),
      }),
    )
    .max(8),
  doorOpen: z.array(z.object({ atMin: z.number().min(0).max(1440), seconds: z.number().min(1).max(600) })).max(60),
})

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
  segments: list(z.object({ reachedMin: z.number().nullable(), endedMin: z.number().nullable() })),
  load: list(
    z.object({
      insertedMin: z.number().nullable(),
      withinFiveCMin: z.number().nullable(),
      soakMin: z.number(),
      steepestKPerMin: z.number(),
      peakC: z.number(),
    }),
  ),
  energyKWh: z.number(),
  curve: list(z.tuple([z.number(), z.number(), z.number().nullable()]).readonly()),
  cautions: list(caution),
})

const quenchSize = (thickest: number) =>
  z.object({
    thicknessMm: z.number().min(0.3).max(thickest),
    widthMm: z.number().min(3).max(500),
    lengthMm: z.number().min(10).max(2000),
  })

export const quenchRequest = z.object({
  blade: quenchSize(40),
  foilMm: z.number().min(0).max(1).default(0.05),
  fromC: z.number().min(100).max(1300),
  medium: z.enum(QUENCH_MEDIA),
  plates: quenchSize(200).extend({
    startC: z.number().min(-40).max(300).default(20),
    cooling: z.enum(['still', 'fan', 'air-blast']).default('still'),
    metal: z.enum(Object.keys(PLATE_METALS) as [PlateMetal, ...PlateMetal[]]).optional(),
  }),
  count: z.int().min(1).max(30).default(1),
  everyS: z.number().min(1).max(3600).default(120),
  clampedS: z.number().min(1).max(1800).default(90),
  delayS: z.number().min(0).max(120).optional(),
  clearanceMm: z.number().min(0).max(5).optional(),
  contactWPerM2K: z.number().min(10).max(10_000).optional(),
  airWPerM2K: z.number().min(0).max(1000).optional(),
  martensiteStartC: z.number().min(-100).max(500).optional(),
  ambientC: z.number().min(-20).max(50).optional(),
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

export const coldRequest = z.object({
  medium: z.enum(['dry-ice', 'liquid-nitrogen', 'freezer']),
  steelKg: z.number().min(0).max(200),
  startC: z.number().min(-20).max(80).default(20),
  bath: z
    .object({ fluid: z.enum(Object.keys(BATHS) as [BathFluid, ...BathFluid[]]), litres: z.number().min(0).max(200) })
    .default({ fluid: 'none', litres: 0 }),
  vesselKg: z.number().min(0).max(100).default(0),
  lossWPerK: z.number().min(0).max(50),
  holdH: z.number().min(0).max(240),
  room: z.object({
    m3: z
      .number({ error: 'give the room’s volume' })
      .min(2, { error: 'a room of less than 2 m³ is a cupboard: nobody works in it' })
      .max(100_000),
    airChangesPerH: z.number().min(0).max(200),
  }),
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
