import * as z from 'zod/mini'
import { FOLD_WAYS } from '../../data/foil'
import { ENTRY_SCHOOLS } from '../../data/ovens'
import { PROTECTION_NAMES } from '../../data/protection'
import { USE_NAMES } from '../../data/uses'
import { bladeSchema, fileTestSchema, inspectionSchema, lineSchema, packetSchema } from './blade'
import { MOST } from './bounds'
import { between, bounded, id, instant, textUpTo, wholeBounded } from './fields'
import { gradeSheetSchema } from './grade-sheet'
import type { ReadOnly } from './read-only'
import { coldSchema, routeSchema, stageSchema, targetSchema, temperSchema } from './route'
import { ROUTE_PARTS } from './route-parts'

export const envelopeSchema = z.object({
  folds: wholeBounded('folds'),
  foldMm: bounded('foldMm'),
  endMm: bounded('foilEndMm'),
  edgeMm: bounded('foilEdgeMm'),
  way: z.optional(z.enum(FOLD_WAYS)),
  beside: z.optional(wholeBounded('bladesBeside')),
  endToEnd: z.optional(wholeBounded('bladesEndToEnd')),
  gapMm: z.optional(bounded('foilGapMm')),
})

export const symptomSchema = z.nullable(z.enum(['chips', 'rolls']))

export const OPTION_KINDS = ['accept', 'temper', 'cold', 'anneal-and-reharden', 'scrap'] as const

/** Something decided about a group, kept with what it rested on. */
export const decisionSchema = z.discriminatedUnion('by', [
  z.object({
    by: z.literal('option'),
    at: instant,
    kind: z.enum(OPTION_KINDS),
    temper: z.nullable(temperSchema),
    cold: z.nullable(coldSchema),
    /** Measured hardness, and its stage in the route. */
    from: z.object({ stage: stageSchema, hrc: bounded('readingHrc'), u95: between(0, 20) }),
    target: z.object({ min: between(0, 80), max: between(0, 80) }),
    toHrc: between(0, 80),
    inTargetProbability: between(0, 1),
    note: textUpTo('why'),
  }),
  /** Told in words, as earlier versions kept it. */
  z.object({ by: z.literal('words'), at: instant, what: z.string().check(z.maxLength(400)), why: textUpTo('why') }),
])

/** The blades of one grade in a batch, with their target and route. */
export const groupSchema = z.object({
  id,
  /** The grade it is planned for, and what it was called then: said where the grade is no longer known. */
  gradeId: id,
  gradeName: textUpTo('gradeName'),
  /** The maker's own sheet of the grade, as it stood when the route was planned; absent for a shipped grade. */
  sheet: z.optional(gradeSheetSchema),
  /** The maker's name for the bar or delivery the blades are cut from. */
  lot: z.optional(textUpTo('lot')),
  /** Price of that bar per kilogram; absent: as in the Workshop. */
  steelPerKg: z.optional(bounded('steelPricePerKg')),
  target: targetSchema,
  route: routeSchema,
  /** Parts of the route that the maker set; the others follow what is suggested until the blades are hardened. */
  fixed: z.array(z.enum(ROUTE_PARTS)).check(z.maxLength(ROUTE_PARTS.length)),
  recipeId: z.nullable(id),
  symptom: symptomSchema,
  /** Use of these blades; absent: as in a kitchen. */
  use: z.optional(z.enum(USE_NAMES)),
  /** The steel of this batch that it is tried beside, with one thing of its route changed. */
  trialOf: z.optional(id),
  decisions: z.array(decisionSchema).check(z.maxLength(200)),
})

export const HEATS_BEFORE = ['anneal', 'relieve'] as const

/** A heat of some blades before their hardening: when they went in, and when they came out. */
const heatBeforeSchema = z.object({
  kind: z.enum(HEATS_BEFORE),
  bladeIds: z.array(id).check(z.maxLength(MOST.storedBlades)),
  inAt: instant,
  outAt: z.nullable(instant),
})

/** A batch as it is stored: its blades are records of their own. */
export const batchRecordSchema = z.object({
  id,
  /** Counts the saves; a second tab sees by it that the batch moved on. */
  rev: z.int().check(z.minimum(0)),
  name: textUpTo('batchName'),
  createdAt: instant,
  updatedAt: instant,
  deletedAt: z.nullable(instant),
  groups: z.array(groupSchema).check(z.minLength(1), z.maxLength(MOST.groups)),
  lines: z.array(lineSchema).check(z.maxLength(MOST.lines)),
  envelope: envelopeSchema,
  /** Protection against air; absent: foil. */
  protection: z.optional(z.enum(PROTECTION_NAMES)),
  /** Stress relief before hardening, where it was machined hard. */
  stressRelief: z.optional(z.boolean()),
  /** When heats before the hardening went in and came out; absent: they did not. */
  heatsBefore: z.optional(z.array(heatBeforeSchema).check(z.maxLength(40))),
  /** Sheets laid on the roll by hand; it holds for the sheets it was made for, named by their sizes. */
  foilLayout: z.optional(
    z.nullable(
      z.object({
        sheets: z.string().check(z.maxLength(4000)),
        places: z
          .array(
            z.object({ piece: z.int(), xMm: between(-100, 3000), yMm: between(-100, 50_000), rotated: z.boolean() }),
          )
          .check(z.maxLength(400)),
      }),
    ),
  ),
  /** When the foil was taken off the stock. */
  foilCutAt: z.optional(z.nullable(instant)),
  /** How much of the roll that was, m. */
  foilCutM: z.optional(between(0, 1000)),
  /** The oven that hardens it, and what it was called then: said where it is no longer in the workshop. */
  ovenId: z.nullable(id),
  ovenName: textUpTo('ovenName'),
  /** How packets come to heat; absent: equalised where a grade asks for it, else on the way up. */
  entry: z.optional(z.enum(ENTRY_SCHOOLS)),
  /** When it is to be hardened, as far as the maker said: from an instant on, or then exactly; done by; or not yet at all. */
  day: z.optional(
    z.object({ from: z.nullable(instant), exactly: z.boolean(), doneBy: z.nullable(instant), later: z.boolean() }),
  ),
  countedOut: z.nullable(wholeBounded('countedOut')),
  note: textUpTo('note'),
  /** Notes of an older version under marks that no blade of the batch bears, or that two bear. */
  unplaced: z.optional(
    z
      .array(
        z.object({
          mark: z.string().check(z.maxLength(60)),
          packet: z.optional(packetSchema),
          inspection: z.optional(inspectionSchema),
          tempers: z.optional(z.array(temperSchema).check(z.maxLength(MOST.tempers))),
          files: z.optional(z.array(fileTestSchema).check(z.maxLength(20))),
        }),
      )
      .check(z.maxLength(400)),
  ),
})

/** A batch with its blades: what everything outside the storage knows as a batch. */
export const batchSchema = z.extend(batchRecordSchema, {
  blades: z.array(bladeSchema).check(z.maxLength(MOST.storedBlades)),
})

export type Envelope = ReadOnly<z.infer<typeof envelopeSchema>>
export type Decision = ReadOnly<z.infer<typeof decisionSchema>>
export type BatchGroup = ReadOnly<z.infer<typeof groupSchema>>
export type BatchRecord = ReadOnly<z.infer<typeof batchRecordSchema>>
export type Batch = ReadOnly<z.infer<typeof batchSchema>>
