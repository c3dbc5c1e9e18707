import * as z from 'zod/mini'
import { ELEMENT_SIDES, OVEN_PRESETS, RAMP_KINDS, THERMOCOUPLES } from '../../data/ovens'
import { between, bounded, id, instant, textUpTo, wholeBetween, wholeBounded } from './fields'
import type { ReadOnly } from './read-only'

export const controllerSchema = z.object({
  /** Steps one programme holds. */
  steps: wholeBounded('controllerSteps'),
  ramp: z.enum(RAMP_KINDS),
  degrees: z.enum(['C', 'F']),
  longestHoldMin: bounded('longestHoldMin'),
  /** Key sequence for full power where a rate or a time is asked for, such as 9999, FULL or 0. */
  fullPower: textUpTo('fullPower'),
})

const positionSchema = z.object({
  acrossMm: bounded('surveyMm'),
  upMm: bounded('surveyMm'),
  inMm: bounded('surveyMm'),
})

/** Readings over the chamber at one set point, in the style of a uniformity survey. */
export const surveySchema = z.object({
  id,
  kind: z.literal('survey'),
  at: instant,
  setC: bounded('ovenSetC'),
  /** Display temperature at that time. */
  indicatedC: bounded('displayC'),
  /** Uncertainty of the survey's own thermocouple, one standard deviation, K. */
  sdK: bounded('thermometerSdK'),
  points: z.array(z.extend(positionSchema, { c: bounded('displayC') })).check(z.minLength(1), z.maxLength(60)),
})

/** One comparison of the oven's display with a better thermometer at the same place. */
export const sensorCheckSchema = z.object({
  id,
  kind: z.literal('sensor'),
  at: instant,
  trueC: bounded('displayC'),
  indicatedC: bounded('displayC'),
  sdK: bounded('thermometerSdK'),
})

/** Oven offset by the shop's hardness readings: the oven acts as if it were this much hotter than it shows. */
export const hardnessEvidenceSchema = z.object({
  id,
  kind: z.literal('hardness'),
  at: instant,
  atC: bounded('austenitizeC'),
  offsetK: bounded('correctionK'),
  sdK: between(0.2, 60),
  readings: wholeBetween(1, 100_000),
})

export const evidenceSchema = z.discriminatedUnion('kind', [surveySchema, sensorCheckSchema, hardnessEvidenceSchema])

/** Fit of an oven to a log, as factors on its build. */
export const ovenFitSchema = z.object({
  at: instant,
  logName: textUpTo('fileName'),
  wallK: between(0.2, 5),
  wallC: between(0.2, 5),
  mass: between(0.1, 10),
  leak: between(0.02, 50),
  power: between(0.5, 2),
  residualK: between(0, 500),
  /** Factors the log spoke about; the others are as assumed. */
  identified: z.array(z.enum(['wallK', 'wallC', 'mass', 'leak', 'power'])).check(z.maxLength(5)),
})

const chamberSide = bounded('chamberSideMm')

export const ovenSchema = z.object({
  id,
  /** The shop's name for it. */
  name: textUpTo('ovenName'),
  use: z.enum(['hardening', 'tempering']),
  /** The size its walls are taken from. */
  preset: z.enum(OVEN_PRESETS.map(preset => preset.name)),
  chamberMm: z.object({ width: chamberSide, height: chamberSide, depth: chamberSide }),
  powerW: bounded('powerW'),
  volts: bounded('volts'),
  elements: z.enum(ELEMENT_SIDES),
  thermocouple: z.enum(THERMOCOUPLES),
  maxC: bounded('ovenMaxC'),
  /** Whether a fan moves the air, which halves a temper's lag; absent: not said. */
  fan: z.optional(z.boolean()),
  controller: controllerSchema,
  correctionFrom: z.enum(['hand', 'evidence']),
  /** Set by hand: added to what the blade should see to get what is keyed in. */
  correctionC: bounded('correctionK'),
  evidence: z.array(evidenceSchema).check(z.maxLength(400)),
  fit: z.nullable(ovenFitSchema),
})

export type Oven = ReadOnly<z.infer<typeof ovenSchema>>
export type OvenFit = ReadOnly<z.infer<typeof ovenFitSchema>>
