import { z } from 'zod'
import { BATHS, type BathFluid, USUAL_ROOM_C } from '../../../data/cold'
import { PLATE_METALS, type PlateMetal } from '../../../data/thermal'
import { QUENCH_MEDIA } from '../../quench/quench'
import { envelopeSchema, symptomSchema } from '../../shop/batch'
import { bladeSizeSchema } from '../../shop/blade'
import { BOUNDS, between, bounded, wholeBounded } from '../../shop/bounds'
import { compositionSchema, gradeSheetSchema } from '../../shop/grade-sheet'
import { shape } from '../../shop/problems'
import { routeSchema, stageSchema, targetSchema } from '../../shop/route'
import { gradeNames } from '../../steel/grades'
import { SYSTEMS } from '../../units/quantity'
import { learntSchema } from './learnt'

export const steelSchema = z.union(
  [
    z.strictObject({ grade: z.enum(gradeNames() as [string, ...string[]]) }),
    z.strictObject({ composition: compositionSchema, made: z.enum(['ingot', 'powder']).optional() }),
    z.strictObject({ sheet: gradeSheetSchema }),
  ],
  { error: shape('steel') },
)

export const predictRequest = z.object({ steel: steelSchema, route: routeSchema })

export const pieceSchema = z.object({
  lengthMm: z.number().min(1).max(5000),
  widthMm: z.number().min(1).max(5000),
  count: z.int().min(1).max(400),
})

/** Equal blades of a question: their size, and how many. */
export const bladesSchema = bladeSizeSchema.extend({ count: wholeBounded('bladeCount') })

const foilCommon = {
  rollWidthMm: z.number().min(50).max(2000),
  rotate: z.boolean(),
  longestSectionMm: z.number().min(1).max(20_000).nullable().optional(),
  /** What the rule is marked in: whole millimetres, or sixteenths of an inch; absent: mm. */
  system: z.enum(SYSTEMS).default('metric'),
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
      blades: z.array(bladesSchema).min(1).max(100),
    }),
    z.object({ ...foilCommon, pieces: z.array(pieceSchema).min(1).max(100) }),
  ],
  { error: shape('foil') },
)

const readingValue = bounded('readingHrc')

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

/** What the shop can do after a reading. */
export const adviceCan = z.object({
  coldToC: bounded('coldC').nullable(),
  anneal: z.boolean(),
  /** The hottest its oven can hold and the thickest blade: for hardening again. */
  ovenMaxC: between(500, 1400).optional(),
  thicknessMm: bounded('bladeThicknessMm').optional(),
  /** The scale tempers are keyed in; absent: °C. */
  system: z.enum(SYSTEMS).default('metric'),
})

export const adviseRequest = z.object({
  steel: steelSchema,
  route: routeSchema,
  reading: z.object({
    mean: readingValue,
    u95: z.number().min(0).max(20),
    stage: stageSchema,
    by: z.enum(['readings', 'files']).optional(),
    /** Degrees of freedom behind its uncertainty; absent: as if there were many. */
    degreesOfFreedom: z.number().min(0.5).optional(),
  }),
  target: targetSchema,
  symptom: symptomSchema.optional(),
  can: adviceCan,
  /** Which of the shop's readings a hardening begun anew may lean on; absent: none. */
  learnt: learntSchema.optional(),
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
    { error: shape('oven') },
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
      bladesSchema.extend({
        atMin: z.number().min(0).max(1440).optional(),
        view: z.number().min(0.05).max(1).optional(),
        whenOvenC: z.number().min(20).max(1300).optional(),
        /** In and out as a segment begins, counted from 0: one load after another in the hot oven. */
        whenSegment: z.int().min(0).max(19).optional(),
        outAtSegment: z.int().min(1).max(19).optional(),
      }),
    )
    .max(24),
  doorOpen: z.array(z.object({ atMin: z.number().min(0).max(1440), seconds: z.number().min(1).max(600) })).max(60),
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
  contactWPerM2K: bounded('contactWPerM2K').optional(),
  airWPerM2K: z.number().min(0).max(BOUNDS.plateAirWPerM2K.max).optional(),
  martensiteStartC: z.number().min(-100).max(500).optional(),
  ambientC: z.number().min(-20).max(50).optional(),
})

export const coldRequest = z.object({
  medium: z.enum(['dry-ice', 'liquid-nitrogen', 'freezer']),
  steelKg: z.number().min(0).max(200),
  /** What the blades are at as they go in, and the room with bath and vessel in it, °C. */
  startC: z.number().min(-20).max(80).default(USUAL_ROOM_C),
  ambientC: z.number().min(-20).max(50).default(USUAL_ROOM_C),
  /** For a freezer: the thickest blade, and whether a fan moves the air. */
  thicknessMm: z.number().min(0.3).max(30).default(3),
  fan: z.boolean().default(false),
  bath: z
    .object({ fluid: z.enum(Object.keys(BATHS) as [BathFluid, ...BathFluid[]]), litres: z.number().min(0).max(200) })
    .default({ fluid: 'none', litres: 0 }),
  vesselKg: z.number().min(0).max(100).default(0),
  lossWPerK: z.number().min(0).max(50),
  holdH: z.number().min(0).max(240),
  room: z.object({
    /** A room of less is a cupboard: nobody works in it. */
    m3: z.number().min(2).max(100_000),
    airChangesPerH: z.number().min(0).max(200),
  }),
})
