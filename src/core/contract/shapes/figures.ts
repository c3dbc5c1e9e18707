import * as z from 'zod/mini'
import { MODEL_FAMILIES } from '../../../data/steel-facts'
import { CORRECTED_BY } from '../../rockwell/verification'
import { stageSchema } from '../../shop/route'
import { estimate, list, predictResponse, workingSchema } from './responses'

/** Shapes of what the core works out, for answers that stay in this application. */

/** A number that may be without end: degrees of freedom of a known scatter. */
const endless = z.union([z.number(), z.literal(Number.POSITIVE_INFINITY)])

export const problems = list(
  z.object({ code: z.string(), params: z.record(z.string(), z.unknown()), path: z.string() }),
)

/** A value, or why there is none. */
export const result = <T extends z.ZodMiniType>(value: T) =>
  z.discriminatedUnion('ok', [z.object({ ok: z.literal(true), value }), z.object({ ok: z.literal(false), problems })])

export const predictionSchema = z.extend(predictResponse, {
  austenite: z.extend(predictResponse.shape.austenite, {
    carbideFraction: z.number(),
    mcFraction: z.number(),
    m6cFraction: z.number(),
    dissolved: z.number(),
  }),
  finalHrc: estimate,
  chartHrc: estimate,
  shop: z.nullable(z.object({ shiftHrc: z.number(), readings: z.number() })),
  restsOn: z.object({
    on: z.enum(['chart', 'model']),
    family: z.enum(MODEL_FAMILIES),
    sdHrc: z.number(),
    steels: z.int(),
    recalled: z.boolean(),
  }),
})

const verification = z.object({ bias: z.number(), repeatability: z.number(), ok: z.boolean() })

export const hardnessSchema = z.object({
  stage: stageSchema,
  hrc: z.number(),
  sd: z.number(),
  u95: z.number(),
  degreesOfFreedom: endless,
  inTargetProbability: z.number(),
  by: z.enum(['readings', 'files']),
  n: z.int(),
  summary: z.nullable(
    z.object({
      n: z.int(),
      mean: z.number(),
      sd: z.nullable(z.number()),
      corrected: z.number(),
      standardUncertainty: z.number(),
      degreesOfFreedom: endless,
      u95: z.number(),
      outliers: list(z.number()),
      inTargetProbability: z.nullable(z.number()),
      correctedBy: z.enum(CORRECTED_BY),
      verification: z.nullable(verification),
      rules: z.object({
        depthMm: z.number(),
        diameterMm: z.number(),
        minimumThicknessMm: z.number(),
        minimumSpacingMm: z.number(),
        minimumEdgeMm: z.number(),
      }),
      working: list(workingSchema),
    }),
  ),
  bladeIds: list(z.string()),
  apart: list(z.object({ bladeId: z.string(), hrc: z.number() })),
  unchecked: z.boolean(),
})

const point = z.readonly(z.tuple([z.number(), z.number()]))

export const stretchSchema = z.object({
  phase: z.string(),
  station: z.string(),
  startMin: z.number(),
  endMin: z.number(),
  points: list(point),
  note: z.nullable(
    z.union([
      z.object({ code: z.literal('load'), atC: z.number() }),
      z.object({ code: z.enum(['soak', 'temper']), minutes: z.number() }),
      z.object({ code: z.enum(['freezer', 'dry-ice', 'liquid-nitrogen']) }),
    ]),
  ),
})

/** A hold at austenitize temperature and what it is made of, min. */
const holdSchema = z.object({
  holdMin: z.number(),
  lagMin: z.number(),
  soakMin: z.number(),
  pullsMin: z.number(),
  spareMin: z.number(),
})

export const segmentSchema = z.object({
  purpose: z.union([
    z.object({ kind: z.literal('equalise'), round: z.int() }),
    z.object({ kind: z.literal('soak'), hold: holdSchema }),
  ]),
  nominalC: z.number(),
  setC: z.number(),
  rateCPerH: z.nullable(z.number()),
  holdMin: z.number(),
})

const tableSchema = z.array(z.tuple([z.number(), z.number()]))

export const chamberSchema = z.object({
  powerW: z.number(),
  climb: tableSchema,
  climbPerKg: tableSchema,
  falls: z.array(z.object({ fromC: z.number(), table: tableSchema })),
})

export const ovenPresetSchema = z.extend(chamberSchema, {
  name: z.string(),
  label: z.string(),
  chamberMm: z.object({ width: z.number(), height: z.number(), depth: z.number() }),
  maxC: z.number(),
})

const waited = z.enum(['soak', 'door', 'hands', 'plates-full', 'plates-hot'])

export const pullPlanSchema = z.object({
  pulls: list(
    z.object({
      bladeId: z.string(),
      set: z.int(),
      arrivesS: z.number(),
      dueS: z.number(),
      pullAtS: z.number(),
      outAtS: z.number(),
      plateStartC: z.number(),
      leavesC: z.number(),
      waitedFor: z.nullable(waited),
      apartS: z.number(),
      restedS: z.number(),
      soakMin: z.number(),
      plannedMin: z.number(),
      longestMin: endless,
      hrc: z.nullable(z.number()),
    }),
  ),
  totalS: z.number(),
  restS: z.number(),
  hold: holdSchema,
})

export const daySchema = z.object({
  hot: list(
    z.object({
      loadedMin: z.number(),
      reachedMin: z.number(),
      pulls: list(z.object({ bladeId: z.string(), pullMin: z.number(), outMin: z.number() })),
    }),
  ),
  cold: z.nullable(z.object({ startMin: z.number(), endMin: z.number() })),
  tempers: list(
    z.object({
      key: z.string(),
      startMin: z.number(),
      endMin: z.number(),
      coolingMin: z.number(),
      fallingMin: z.number(),
    }),
  ),
  standings: list(z.object({ groupId: z.string(), standsMin: z.number(), limitMin: z.number() })),
  quenchedMin: z.number(),
  totalMin: z.number(),
})

/** A number for each thing of its kind that was left out of learning. */
const heldOut = z.object({ chart: z.number(), shop: z.number(), readings: z.number() })

export const lessonSchema = z.object({
  helps: z.boolean(),
  heldOut,
  byGrade: z.record(z.string(), heldOut),
  setAside: z.int(),
  strange: list(z.object({ gradeId: z.string(), offHrc: z.number(), batches: z.int() })),
  batchSdHrc: z.number(),
})
