import * as z from 'zod/mini'
import { BATHS, type BathFluid, USUAL_ROOM_C } from '../../../data/cold'
import { PLATE_METALS, type PlateMetal } from '../../../data/thermal'
import { USE_NAMES } from '../../../data/uses'
import { QUENCH_MEDIA } from '../../quench/quench'
import { envelopeSchema, symptomSchema } from '../../shop/batch'
import { bladeSizeSchema } from '../../shop/blade'
import { BOUNDS } from '../../shop/bounds'
import { between, bounded, wholeBetween, wholeBounded } from '../../shop/fields'
import { compositionSchema, gradeSheetSchema } from '../../shop/grade-sheet'
import { shape } from '../../shop/problems'
import { routeSchema, stageSchema, targetSchema } from '../../shop/route'
import { gradeNames } from '../../steel/grades'
import { SYSTEMS } from '../../units/quantity'
import { learntSchema } from './learnt'

export const steelSchema = z.union(
  [
    z.strictObject({ grade: z.enum(gradeNames() as [string, ...string[]]) }),
    z.strictObject({ composition: compositionSchema, made: z.optional(z.enum(['ingot', 'powder'])) }),
    z.strictObject({ sheet: gradeSheetSchema }),
  ],
  { error: shape('steel') },
)

export const predictRequest = z.object({ steel: steelSchema, route: routeSchema })

export const pieceSchema = z.object({
  lengthMm: between(1, 5000),
  widthMm: between(1, 5000),
  count: wholeBetween(1, 400),
})

/** Equal blades of a question: their size, and how many. */
export const bladesSchema = z.extend(bladeSizeSchema, { count: wholeBounded('bladeCount') })

const foilCommon = {
  rollWidthMm: between(50, 2000),
  rotate: z.boolean(),
  longestSectionMm: z.optional(z.nullable(between(1, 20_000))),
  /** Marks of the rule: whole millimetres, or sixteenths of an inch; absent: mm. */
  system: z._default(z.enum(SYSTEMS), 'metric'),
  /** Pieces from another day, used first. */
  offcuts: z.optional(
    z
      .array(
        z.object({
          id: z.string().check(z.maxLength(64)),
          widthMm: between(20, 2000),
          lengthMm: between(20, 20_000),
        }),
      )
      .check(z.maxLength(60)),
  ),
}

export const foilRequest = z.union(
  [
    z.object({
      ...foilCommon,
      envelope: envelopeSchema,
      blades: z.array(bladesSchema).check(z.minLength(1), z.maxLength(100)),
    }),
    z.object({ ...foilCommon, pieces: z.array(pieceSchema).check(z.minLength(1), z.maxLength(100)) }),
  ],
  { error: shape('foil') },
)

const readingValue = bounded('readingHrc')

export const blockSchema = z.object({
  certifiedHrc: bounded('hrc'),
  certifiedSd: between(0, 3),
  readings: z.array(readingValue).check(z.minLength(1), z.maxLength(50)),
})

export const rockwellRequest = z.object({
  readings: z.array(readingValue).check(z.minLength(1), z.maxLength(500)),
  block: z.optional(z.nullable(blockSchema)),
  thicknessMm: z.optional(bounded('bladeThicknessMm')),
  target: z.optional(z.nullable(targetSchema)),
  /** Files tried on the same steel, combined with the readings by likelihood. */
  files: z.optional(
    z.array(z.object({ skates: z.nullable(readingValue), bites: z.nullable(readingValue) })).check(z.maxLength(50)),
  ),
})

/** Abilities of the shop for a route that is suggested. */
export const suggestCan = z.object({
  coldToC: z.nullable(bounded('coldC')),
  ovenMaxC: between(500, 1400),
  thicknessMm: bounded('bladeThicknessMm'),
  system: z.enum(SYSTEMS),
})

/** Abilities of the shop after a reading. */
export const adviceCan = z.object({
  coldToC: z.nullable(bounded('coldC')),
  anneal: z.boolean(),
  /** The hottest its oven can hold and the thickest blade: for hardening again. */
  ovenMaxC: z.optional(between(500, 1400)),
  thicknessMm: z.optional(bounded('bladeThicknessMm')),
  /** The quench oil there is; absent: plates alone. */
  oil: z.optional(z.enum(['medium-oil', 'fast-oil'])),
  /** The scale tempers are keyed in; absent: °C. */
  system: z._default(z.enum(SYSTEMS), 'metric'),
})

export const adviseRequest = z.object({
  steel: steelSchema,
  route: routeSchema,
  reading: z.object({
    mean: readingValue,
    u95: between(0, 20),
    stage: stageSchema,
    by: z.optional(z.enum(['readings', 'files'])),
    /** Degrees of freedom behind its uncertainty; absent: as if there were many. */
    degreesOfFreedom: z.optional(z.number().check(z.minimum(0.5))),
  }),
  target: targetSchema,
  symptom: z.optional(symptomSchema),
  /** Use of the blade; absent: as in a kitchen. */
  use: z.optional(z.enum(USE_NAMES)),
  can: adviceCan,
  /** Which of the shop's readings a hardening begun anew may lean on; absent: none. */
  learnt: z.optional(learntSchema),
  /** False leaves out what a hardening begun anew would reach. */
  whyNot: z.optional(z.boolean()),
})

const chamberSide = between(40, 2000)

/** Blades of an oven's load: when they go in and come out, by the clock, by heat or by a segment. */
export const loadedBlades = z.extend(bladesSchema, {
  atMin: z.optional(between(0, 1440)),
  view: z.optional(between(0.05, 1)),
  whenOvenC: z.optional(between(20, 1300)),
  /** In and out as a segment begins, counted from 0: one load after another in the hot oven. */
  whenSegment: z.optional(wholeBetween(0, 19)),
  outAtSegment: z.optional(wholeBetween(1, 19)),
})

export const ovenRequest = z.object({
  oven: z.union(
    [
      z.strictObject({ preset: z.enum(['small', 'medium', 'large']) }),
      z.strictObject({
        powerW: between(200, 50_000),
        chamberMm: z.object({ width: chamberSide, height: chamberSide, depth: chamberSide }),
        build: z.object({
          layers: z.readonly(
            z
              .array(z.object({ material: z.enum(['brick', 'fibre', 'board']), mm: between(2, 300) }))
              .check(z.minLength(1), z.maxLength(4)),
          ),
          leakWPerK: between(0, 20),
          element: z.object({ areaM2: between(0.005, 3), capacityJPerK: between(20, 20_000) }),
          furnitureJPerK: between(10, 50_000),
          /** Factors a log taught on the wall's conductivity and heat capacity. */
          wall: z.optional(z.object({ k: between(0.2, 5), c: between(0.2, 5) })),
        }),
      }),
    ],
    { error: shape('oven') },
  ),
  startC: between(-20, 1300),
  segments: z
    .array(
      z.object({
        rateCPerH: z.nullable(between(1, 20_000)),
        targetC: between(20, 1300),
        holdMin: between(0, 1440),
      }),
    )
    .check(z.minLength(1), z.maxLength(20)),
  load: z.array(loadedBlades).check(z.maxLength(24)),
  doorOpen: z.array(z.object({ atMin: between(0, 1440), seconds: between(1, 600) })).check(z.maxLength(60)),
})

const quenchSize = (thickest: number) =>
  z.object({
    thicknessMm: between(0.3, thickest),
    widthMm: between(3, 500),
    lengthMm: between(10, 2000),
  })

export const quenchRequest = z.object({
  blade: quenchSize(40),
  foilMm: z._default(between(0, 1), 0.05),
  fromC: between(100, 1300),
  medium: z.enum(QUENCH_MEDIA),
  plates: z.extend(quenchSize(200), {
    startC: z._default(between(-40, 300), 20),
    cooling: z._default(z.enum(['still', 'fan', 'air-blast']), 'still'),
    metal: z.optional(z.enum(Object.keys(PLATE_METALS) as [PlateMetal, ...PlateMetal[]])),
  }),
  count: z._default(wholeBetween(1, 30), 1),
  everyS: z._default(between(1, 3600), 120),
  clampedS: z._default(between(1, 1800), 90),
  delayS: z.optional(between(0, 120)),
  clearanceMm: z.optional(between(0, 5)),
  contactWPerM2K: z.optional(bounded('contactWPerM2K')),
  airWPerM2K: z.optional(between(0, BOUNDS.plateAirWPerM2K.max)),
  martensiteStartC: z.optional(between(-100, 500)),
  ambientC: z.optional(between(-20, 50)),
})

export const coldRequest = z.object({
  medium: z.enum(['dry-ice', 'liquid-nitrogen', 'freezer']),
  steelKg: between(0, 200),
  /** Temperature of the blades as they go in, and of the room with bath and vessel, °C. */
  startC: z._default(between(-20, 80), USUAL_ROOM_C),
  ambientC: z._default(between(-20, 50), USUAL_ROOM_C),
  /** For a freezer: the thickest blade, and whether a fan moves the air. */
  thicknessMm: z._default(between(0.3, 30), 3),
  fan: z._default(z.boolean(), false),
  /** Of liquid nitrogen: what stands in the box. */
  bath: z._default(
    z.object({ fluid: z.enum(Object.keys(BATHS) as [BathFluid, ...BathFluid[]]), litres: between(0, 200) }),
    { fluid: 'none', litres: 0 },
  ),
  vesselKg: z._default(between(0, 100), 0),
  lossWPerK: between(0, 50),
  holdH: between(0, 240),
  room: z.object({
    /** A room of less is a cupboard: nobody works in it. */
    m3: between(2, 100_000),
    airChangesPerH: between(0, 200),
  }),
})
