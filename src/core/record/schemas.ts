import { z } from 'zod'
import { BENT_AT, COLOURS } from '../../data/inspection'
import { ENTRY_SCHOOLS } from '../../data/ovens'
import { PROTECTION_NAMES } from '../../data/protection'
import { TIP_SHAPES } from '../blade/outline'
import { FOLD_WAYS } from '../foil/envelope'
import { BOUNDS, between, bounded, id, instant, text } from './bounds'
import { gradeSheetSchema } from './grade-sheet'

export { runSchema } from './run-schema'
export { workshopSchema } from './workshop-schema'
export { BOUNDS, bounded }

export const targetSchema = z
  .object({ min: bounded('hrc'), max: bounded('hrc') })
  .refine(t => t.min < t.max, { error: 'the lower end of the target must be below the upper end', path: ['min'] })

export const temperSchema = z.object({ atC: bounded('temperC'), holdMin: bounded('holdMin') })
export const coldSchema = z.object({
  toC: bounded('coldC'),
  holdMin: bounded('holdMin'),
  delayMin: bounded('delayMin'),
  /** A short low temper before the cold, for shapes that crack. */
  snapTemperC: between(80, 300).optional(),
})

export const routeSchema = z.object({
  austenitizeC: bounded('austenitizeC'),
  soakMin: bounded('soakMin'),
  quenchedToC: between(-30, 200),
  cold: coldSchema.nullable(),
  tempers: z.array(temperSchema).max(8),
  /** What the soak starts from; absent: annealed. */
  start: z.enum(['annealed', 'lamellar', 'hardened']).optional(),
  /** Seconds the blade took from 800 to 500 °C; absent: as fast as the steel needs. */
  seconds800to500: between(0.1, 10_000).optional(),
})

export const envelopeSchema = z.object({
  folds: z.int().min(1).max(4),
  foldMm: between(3, 30),
  endMm: between(1, 150),
  edgeMm: between(1, 60),
  way: z.enum(FOLD_WAYS).optional(),
  beside: z.int().min(1).max(12).optional(),
  endToEnd: z.int().min(1).max(6).optional(),
  gapMm: between(0, 30).optional(),
})

const bladeSizeSchema = z.object({
  lengthMm: bounded('bladeLengthMm'),
  widthMm: bounded('bladeWidthMm'),
  thicknessMm: bounded('bladeThicknessMm'),
})

export const outlineSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('drawn'),
    tip: z.enum(TIP_SHAPES),
    tangMm: between(5, 500),
    tangWidthMm: between(2, 150),
  }),
  z.object({
    kind: z.literal('imported'),
    from: text(120),
    points: z
      .array(z.tuple([between(0, 1), between(0, 1)]))
      .min(3)
      .max(400),
  }),
])

/** One line of the tray: equal blades of one grade. */
export const bladeSchema = bladeSizeSchema.extend({
  id,
  groupId: id,
  mark: text(12),
  count: z.int().min(BOUNDS.bladeCount.min).max(BOUNDS.bladeCount.max),
  bevels: z.enum(['pre-ground', 'full']),
  /** Left at the edge before hardening; absent: about 0.5 mm when pre-ground. */
  edgeMm: between(0.1, 12).optional(),
  /** Where the tang ends, when it is tapered; absent: as thick as the spine. */
  tangThicknessMm: between(0.3, 12).optional(),
  outline: outlineSchema.optional(),
})

export const symptomSchema = z.enum(['chips', 'rolls']).nullable()

/** Something decided about a group, kept with its reason. */
export const decisionSchema = z.object({ at: instant, what: text(400), why: text(1000) })

/** The blades of one grade in a batch, with their target and route. */
export const groupSchema = z.object({
  id,
  gradeName: text(40),
  /** The maker's own sheet of the grade, as it stood when the route was planned; absent for a shipped grade. */
  sheet: gradeSheetSchema.optional(),
  /** The maker's name for the bar or delivery the blades are cut from. */
  lot: text(40).optional(),
  target: targetSchema,
  route: routeSchema,
  recipeId: id.nullable(),
  symptom: symptomSchema,
  decisions: z.array(decisionSchema).max(200),
})

export const stageSchema = z.templateLiteral([
  z.enum([
    'as-quenched',
    'after-cold',
    'temper-1',
    'temper-2',
    'temper-3',
    'temper-4',
    'temper-5',
    'temper-6',
    'temper-7',
    'temper-8',
  ]),
])

export const batchSchema = z.object({
  id,
  /** Counts the saves; a second tab sees by it that the batch moved on. */
  rev: z.int().min(0),
  name: text(80),
  createdAt: instant,
  updatedAt: instant,
  deletedAt: instant.nullable(),
  groups: z.array(groupSchema).min(1).max(6),
  blades: z.array(bladeSchema).max(60),
  envelope: envelopeSchema,
  /** What keeps air from the steel; absent: foil. */
  protection: z.enum(PROTECTION_NAMES).optional(),
  /** Stress relief before hardening, where it was machined hard. */
  stressRelief: z.boolean().optional(),
  /** What was done and seen of single packets, by their marks. */
  packets: z
    .array(z.object({ mark: text(60), sealed: z.boolean(), leak: text(200).nullable() }))
    .max(400)
    .optional(),
  /** Sheets laid on the roll by hand; it holds for the sheets it was made for, named by their sizes. */
  foilLayout: z
    .object({
      sheets: text(4000),
      places: z
        .array(z.object({ piece: z.int(), xMm: between(-100, 3000), yMm: between(-100, 50_000), rotated: z.boolean() }))
        .max(400),
    })
    .nullable()
    .optional(),
  /** When the foil was taken off the stock. */
  foilCutAt: instant.nullable().optional(),
  /** The oven that hardens it, by the name it has in the workshop. */
  oven: text(40).optional(),
  /** How packets come to heat; absent: equalised where a grade asks for it, else on the way up. */
  entry: z.enum(ENTRY_SCHOOLS).optional(),
  /** Packets put on the rack by hand: middle of the tang end from the door and across, mm. */
  rack: z
    .array(z.object({ mark: text(20), inMm: between(-50, 2000), acrossMm: between(-50, 2000) }))
    .max(400)
    .optional(),
  /** What was seen of each blade when its foil came off, by its mark. */
  inspections: z
    .array(
      z.object({
        mark: text(20),
        bowMm: between(0, 50).nullable(),
        bentAt: z.enum(BENT_AT).nullable(),
        cracked: z.boolean(),
        colour: z.enum(COLOURS).nullable(),
        skates: between(20, 70).nullable(),
        bites: between(20, 70).nullable(),
        hrc: between(5, 70).nullable(),
      }),
    )
    .max(400)
    .optional(),
  /** Tempers of single blades after those of their group, by mark: where blades of one group need different ones. */
  pieceTempers: z
    .array(z.object({ mark: text(20), tempers: z.array(temperSchema).max(8) }))
    .max(400)
    .optional(),
  /** Files tried on a blade: the hardest that skated and the softest that bit, HRC. */
  files: z
    .array(
      z.object({
        mark: text(20),
        stage: stageSchema,
        skates: between(20, 70).nullable(),
        bites: between(20, 70).nullable(),
        at: instant,
      }),
    )
    .max(2000)
    .optional(),
  countedOut: z.int().min(0).max(3600).nullable(),
  note: text(4000),
})

export const readingSchema = z.object({
  id,
  batchId: id,
  groupId: id,
  /** Mark scribed on the one blade, such as A3. */
  piece: text(20),
  stage: stageSchema,
  hrc: between(5, 70),
  at: instant,
  deletedAt: instant.nullable(),
  /** Where on the blade, mm from the butt and from the spine; absent: not noted. */
  place: z.object({ xMm: between(0, 1000), yMm: between(0, 200) }).optional(),
  /** Read on a round face: its diameter, and what the tester showed; `hrc` is that with the face's correction. Absent: flat. */
  roundFace: z.object({ diameterMm: between(6, 500), shownHrc: between(5, 70) }).optional(),
  /** Taken on a tester without a block check of that day. */
  unchecked: z.boolean().optional(),
})

export const recipeSchema = z.object({
  id,
  name: text(80),
  gradeName: text(40),
  sheet: gradeSheetSchema.optional(),
  target: targetSchema,
  retired: z.boolean(),
  versions: z
    .array(z.object({ number: z.int().min(1), at: instant, route: routeSchema, why: text(1000) }))
    .min(1)
    .max(200),
})

/** A measured log of an oven, thinned to what is drawn and computed from. */
export const ovenLogSchema = z.object({
  id,
  ovenId: id,
  /** The batch that was in; null: an oven's own run. */
  batchId: id.nullable(),
  /** Which of its loads: the hardening heat (0) or a round of tempering, and the groups that were in; null: none of a batch's. */
  load: z.object({ temper: z.int().min(0).max(8), groupIds: z.array(id).max(6) }).nullable(),
  name: text(120),
  addedAt: instant,
  /** [minutes from the first sample, what the display showed, °C]. */
  points: z
    .array(z.tuple([between(0, 100_000), between(-50, 1400)]))
    .min(2)
    .max(6000),
  /** When blades went in and the first came out, minutes into the log; null: read off the log. */
  loadedMin: between(0, 100_000).nullable(),
  pulledMin: between(0, 100_000).nullable(),
})

export type { GradeSheet } from './grade-sheet'
export type Target = z.infer<typeof targetSchema>
export type Blade = z.infer<typeof bladeSchema>
export type BatchGroup = z.infer<typeof groupSchema>
export type Batch = z.infer<typeof batchSchema>
export type Reading = z.infer<typeof readingSchema>
export type Recipe = z.infer<typeof recipeSchema>
export type OvenLog = z.infer<typeof ovenLogSchema>
export type { Run, RunEvent, RunStep } from './run-schema'
export type { Workshop } from './workshop-schema'
