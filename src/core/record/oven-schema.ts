import { z } from 'zod'
import { OVEN_PRESETS } from '../../data/ovens'
import { between, id, instant, text } from './bounds'

const chamberSide = between(60, 1500)

export const RAMP_KINDS = ['per-hour', 'per-minute', 'minutes-to-target'] as const
export const THERMOCOUPLES = ['K', 'N', 'S', 'R'] as const
export const ELEMENT_SIDES = ['sides', 'sides-and-back', 'back', 'top'] as const

export const controllerSchema = z.object({
  /** Steps one programme holds. */
  steps: z.int().min(1).max(99),
  ramp: z.enum(RAMP_KINDS),
  degrees: z.enum(['C', 'F']),
  longestHoldMin: between(10, 6000),
  /** What is keyed for full power where a rate or a time is asked for, such as 9999, FULL or 0. */
  fullPower: text(8),
})

const positionSchema = z.object({ acrossMm: between(0, 1500), upMm: between(0, 1500), inMm: between(0, 1500) })

/** Readings over the chamber at one set point, in the style of a uniformity survey. */
export const surveySchema = z.object({
  id,
  kind: z.literal('survey'),
  at: instant,
  setC: between(50, 1300),
  /** What the display showed meanwhile. */
  indicatedC: between(50, 1350),
  /** Uncertainty of the survey's own thermocouple, one sigma, K. */
  sdK: between(0.2, 20),
  points: z
    .array(positionSchema.extend({ c: between(20, 1350) }))
    .min(1)
    .max(60),
})

/** One comparison of the oven's display with a better thermometer at the same place. */
export const sensorCheckSchema = z.object({
  id,
  kind: z.literal('sensor'),
  at: instant,
  trueC: between(20, 1350),
  indicatedC: between(20, 1350),
  sdK: between(0.2, 20),
})

/** What the shop's hardness readings say of the oven: it acts as if it were this much hotter than it shows. */
export const hardnessEvidenceSchema = z.object({
  id,
  kind: z.literal('hardness'),
  at: instant,
  atC: between(700, 1300),
  offsetK: between(-60, 60),
  sdK: between(0.2, 60),
  readings: z.int().min(1).max(100_000),
})

export const evidenceSchema = z.discriminatedUnion('kind', [surveySchema, sensorCheckSchema, hardnessEvidenceSchema])

/** What a log taught about the oven, as factors on its build. */
export const ovenFitSchema = z.object({
  at: instant,
  logName: text(120),
  wallK: between(0.2, 5),
  wallC: between(0.2, 5),
  mass: between(0.1, 10),
  leak: between(0.02, 50),
  power: between(0.5, 2),
  residualK: between(0, 500),
  /** Factors the log spoke about; the others are as assumed. */
  identified: z.array(z.enum(['wallK', 'wallC', 'mass', 'leak', 'power'])).max(5),
})

export const ovenSchema = z.object({
  id,
  /** What the shop calls it: readings are learnt from by oven. */
  name: text(40),
  use: z.enum(['hardening', 'tempering']),
  /** The size its walls are taken from. */
  preset: z.enum(OVEN_PRESETS.map(preset => preset.name)),
  chamberMm: z.object({ width: chamberSide, height: chamberSide, depth: chamberSide }),
  powerW: between(300, 30_000),
  volts: between(90, 480),
  elements: z.enum(ELEMENT_SIDES),
  thermocouple: z.enum(THERMOCOUPLES),
  maxC: between(200, 1300),
  /** Whether a fan moves the air, which halves a temper's lag; absent: not said. */
  fan: z.boolean().optional(),
  controller: controllerSchema,
  correctionFrom: z.enum(['hand', 'evidence']),
  /** Set by hand: added to what the blade should see to get what is keyed in. */
  correctionC: between(-60, 60),
  evidence: z.array(evidenceSchema).max(400),
  fit: ovenFitSchema.nullable(),
})

export type Oven = z.infer<typeof ovenSchema>
export type OvenControllerSettings = z.infer<typeof controllerSchema>
export type OvenEvidence = z.infer<typeof evidenceSchema>
export type OvenSurvey = z.infer<typeof surveySchema>
export type OvenFit = z.infer<typeof ovenFitSchema>
