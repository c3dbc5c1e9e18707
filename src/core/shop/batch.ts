import { z } from 'zod'
import { FOLD_WAYS } from '../../data/foil'
import { ENTRY_SCHOOLS } from '../../data/ovens'
import { PROTECTION_NAMES } from '../../data/protection'
import { bladeSchema, fileTestSchema, inspectionSchema, lineSchema, packetSchema } from './blade'
import { between, bounded, id, instant, MOST, textUpTo, wholeBounded } from './bounds'
import { gradeSheetSchema } from './grade-sheet'
import type { ReadOnly } from './read-only'
import { coldSchema, ROUTE_PARTS, routeSchema, stageSchema, targetSchema, temperSchema } from './route'

export const envelopeSchema = z.object({
  folds: wholeBounded('folds'),
  foldMm: bounded('foldMm'),
  endMm: bounded('foilEndMm'),
  edgeMm: bounded('foilEdgeMm'),
  way: z.enum(FOLD_WAYS).optional(),
  beside: wholeBounded('bladesBeside').optional(),
  endToEnd: wholeBounded('bladesEndToEnd').optional(),
  gapMm: bounded('foilGapMm').optional(),
})

export const symptomSchema = z.enum(['chips', 'rolls']).nullable()

export const OPTION_KINDS = ['accept', 'temper', 'cold', 'anneal-and-reharden', 'scrap'] as const

/** Something decided about a group, kept with what it rested on. */
export const decisionSchema = z.discriminatedUnion('by', [
  z.object({
    by: z.literal('option'),
    at: instant,
    kind: z.enum(OPTION_KINDS),
    temper: temperSchema.nullable(),
    cold: coldSchema.nullable(),
    /** What had been measured, and where in the route. */
    from: z.object({ stage: stageSchema, hrc: bounded('readingHrc'), u95: between(0, 20) }),
    target: z.object({ min: between(0, 80), max: between(0, 80) }),
    toHrc: between(0, 80),
    inTargetProbability: between(0, 1),
    note: textUpTo('why'),
  }),
  /** Told in words, as earlier versions kept it. */
  z.object({ by: z.literal('words'), at: instant, what: z.string().max(400), why: textUpTo('why') }),
])

/** The blades of one grade in a batch, with their target and route. */
export const groupSchema = z.object({
  id,
  /** The grade it is planned for, and what it was called then: said where the grade is no longer known. */
  gradeId: id,
  gradeName: textUpTo('gradeName'),
  /** The maker's own sheet of the grade, as it stood when the route was planned; absent for a shipped grade. */
  sheet: gradeSheetSchema.optional(),
  /** The maker's name for the bar or delivery the blades are cut from. */
  lot: textUpTo('lot').optional(),
  /** What a kilogram of that bar cost; absent: as the Workshop has it. */
  steelPerKg: bounded('steelPricePerKg').optional(),
  target: targetSchema,
  route: routeSchema,
  /** Parts of the route that the maker set; the others follow what is suggested until the blades are hardened. */
  fixed: z.array(z.enum(ROUTE_PARTS)).max(ROUTE_PARTS.length),
  recipeId: id.nullable(),
  symptom: symptomSchema,
  /** The steel of this batch that it is tried beside, with one thing of its route changed. */
  trialOf: id.optional(),
  decisions: z.array(decisionSchema).max(200),
})

export const HEATS_BEFORE = ['anneal', 'relieve'] as const

/** A heat of some blades before their hardening: when they went in, and when they came out. */
const heatBeforeSchema = z.object({
  kind: z.enum(HEATS_BEFORE),
  bladeIds: z.array(id).max(MOST.storedBlades),
  inAt: instant,
  outAt: instant.nullable(),
})

/** A batch as it is stored: its blades are records of their own. */
export const batchRecordSchema = z.object({
  id,
  /** Counts the saves; a second tab sees by it that the batch moved on. */
  rev: z.int().min(0),
  name: textUpTo('batchName'),
  createdAt: instant,
  updatedAt: instant,
  deletedAt: instant.nullable(),
  groups: z.array(groupSchema).min(1).max(MOST.groups),
  lines: z.array(lineSchema).max(MOST.lines),
  envelope: envelopeSchema,
  /** What keeps air from the steel; absent: foil. */
  protection: z.enum(PROTECTION_NAMES).optional(),
  /** Stress relief before hardening, where it was machined hard. */
  stressRelief: z.boolean().optional(),
  /** When heats before the hardening went in and came out; absent: they did not. */
  heatsBefore: z.array(heatBeforeSchema).max(40).optional(),
  /** Sheets laid on the roll by hand; it holds for the sheets it was made for, named by their sizes. */
  foilLayout: z
    .object({
      sheets: z.string().max(4000),
      places: z
        .array(z.object({ piece: z.int(), xMm: between(-100, 3000), yMm: between(-100, 50_000), rotated: z.boolean() }))
        .max(400),
    })
    .nullable()
    .optional(),
  /** When the foil was taken off the stock. */
  foilCutAt: instant.nullable().optional(),
  /** How much of the roll that was, m. */
  foilCutM: between(0, 1000).optional(),
  /** The oven that hardens it, and what it was called then: said where it is no longer in the workshop. */
  ovenId: id.nullable(),
  ovenName: textUpTo('ovenName'),
  /** How packets come to heat; absent: equalised where a grade asks for it, else on the way up. */
  entry: z.enum(ENTRY_SCHOOLS).optional(),
  /** When it is to be hardened, as far as the maker said: from an instant on, or then exactly; done by; or not yet at all. */
  day: z
    .object({ from: instant.nullable(), exactly: z.boolean(), doneBy: instant.nullable(), later: z.boolean() })
    .optional(),
  countedOut: wholeBounded('countedOut').nullable(),
  note: textUpTo('note'),
  /** What an older version noted under marks that no blade of the batch bears, or that two bear. */
  unplaced: z
    .array(
      z.object({
        mark: z.string().max(60),
        packet: packetSchema.optional(),
        inspection: inspectionSchema.optional(),
        tempers: z.array(temperSchema).max(MOST.tempers).optional(),
        files: z.array(fileTestSchema).max(20).optional(),
      }),
    )
    .max(400)
    .optional(),
})

/** A batch with its blades: what everything outside the storage knows as a batch. */
export const batchSchema = batchRecordSchema.extend({ blades: z.array(bladeSchema).max(MOST.storedBlades) })

export type Envelope = ReadOnly<z.infer<typeof envelopeSchema>>
export type Decision = ReadOnly<z.infer<typeof decisionSchema>>
export type BatchGroup = ReadOnly<z.infer<typeof groupSchema>>
export type BatchRecord = ReadOnly<z.infer<typeof batchRecordSchema>>
export type Batch = ReadOnly<z.infer<typeof batchSchema>>
