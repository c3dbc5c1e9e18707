import * as z from 'zod/mini'
import { BLADE_STATES } from '../../data/blade-states'
import { EDGE_PLACES, EDGE_RESULTS, EDGE_TESTS, RUST_RESULTS } from '../../data/edge-tests'
import { FINISH_TASKS } from '../../data/finishing'
import { BENT_AT, COLOURS } from '../../data/inspection'
import { TIP_SHAPES } from '../../data/outline'
import { MOST } from './bounds'
import { between, bounded, id, instant, textUpTo, wholeBetween, wholeBounded } from './fields'
import type { ReadOnly } from './read-only'
import { stageSchema, temperSchema } from './route'

export const outlineSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('drawn'),
    tip: z.enum(TIP_SHAPES),
    tangMm: bounded('tangLengthMm'),
    tangWidthMm: bounded('tangWidthMm'),
  }),
  z.object({
    kind: z.literal('imported'),
    from: textUpTo('fileName'),
    points: z.array(z.tuple([between(0, 1), between(0, 1)])).check(z.minLength(3), z.maxLength(400)),
  }),
])

export const bladeSizeSchema = z.object({
  lengthMm: bounded('bladeLengthMm'),
  widthMm: bounded('bladeWidthMm'),
  thicknessMm: bounded('bladeThicknessMm'),
})

/** One line of the tray: what its equal blades have in common. It stands for the blades that name it. */
export const lineSchema = z.extend(bladeSizeSchema, {
  id,
  groupId: id,
  /** Mark scribed on the blades: alone for a single one, with a number behind it for several. */
  mark: textUpTo('mark'),
  bevels: z.enum(['pre-ground', 'full']),
  /** Left at the edge before hardening; absent: about 0.5 mm when pre-ground. */
  edgeMm: z.optional(bounded('edgeMm')),
  /** Where the tang ends, when it is tapered; absent: as thick as the spine. */
  tangThicknessMm: z.optional(bounded('tangThicknessMm')),
  outline: z.optional(outlineSchema),
})

/** Findings on a blade when its foil came off. */
export const inspectionSchema = z.object({
  bowMm: z.nullable(bounded('bowMm')),
  bentAt: z.nullable(z.enum(BENT_AT)),
  cracked: z.boolean(),
  colour: z.nullable(z.enum(COLOURS)),
  skates: z.nullable(bounded('fileHrc')),
  bites: z.nullable(bounded('fileHrc')),
  hrc: z.nullable(bounded('readingHrc')),
})

/** State of the packet a blade lay in: whether its seams are rolled, and whether it leaked. */
export const packetSchema = z.object({
  sealed: z.boolean(),
  leak: z.nullable(textUpTo('leak')),
  /** The run in which it was called to leak; absent where none was. */
  leakRunId: z.optional(id),
})

/** Files tried on a blade at a stage: the hardest that skated and the softest that bit, HRC. */
export const fileTestSchema = z.object({
  stage: stageSchema,
  skates: z.nullable(bounded('fileHrc')),
  bites: z.nullable(bounded('fileHrc')),
  at: instant,
})

/** A test of an edge, or of what salt water does to the blade, beside a control where there was one. */
export const edgeTestSchema = z.object({
  id,
  at: instant,
  kind: z.enum(EDGE_TESTS),
  /** The maker's name for a test of their own. */
  name: z.optional(textUpTo('testName')),
  /** Edge angle a side, and what stands behind the edge. */
  edgeDeg: bounded('edgeDeg'),
  behindMm: z.optional(bounded('behindEdgeMm')),
  /** Grit it was sharpened to. */
  grit: z.optional(wholeBounded('grit')),
  /** Strokes, blows, flexes or hours. */
  amount: z.optional(wholeBounded('testAmount')),
  result: z.enum([...EDGE_RESULTS, ...RUST_RESULTS]),
  depthMm: z.optional(bounded('chipDepthMm')),
  where: z.optional(z.enum(EDGE_PLACES)),
  /** The blade of known hardness tested beside it, the same way. */
  control: z.optional(z.object({ name: textUpTo('mark'), hrc: bounded('hrc'), result: z.enum(EDGE_RESULTS) })),
  /** Entered by its number in a drawn order, without its mark. */
  hidden: z.optional(z.boolean()),
  note: z.optional(textUpTo('remark')),
})

/** A blade's state from a moment on: what it came to, why, and to whom it went; by hand or by the run it befell in. */
export const bladeStateSchema = z.object({
  is: z.enum(BLADE_STATES),
  at: instant,
  why: textUpTo('why'),
  to: z.optional(textUpTo('buyer')),
  runId: z.optional(id),
})

/**
 * One blade. Everything that happens to it hangs on its id: renaming its line, counting more or fewer of them, or giving them
 * another steel changes what it is called and nothing that is known of it.
 */
export const bladeSchema = z.object({
  id,
  batchId: id,
  lineId: id,
  /** Its place in its line, from 1; it keeps it when others come and go. */
  number: wholeBetween(1, MOST.storedBlades),
  /** Unique in the whole log; empty until it is stored the first time. */
  serial: textUpTo('serial'),
  /** Taken off the tray again; what hung on it is kept, and comes back with it. */
  removedAt: z.nullable(instant),
  /** Its place on the rack by hand: middle of the tang end from the door and across, mm. */
  rack: z.optional(z.object({ inMm: bounded('rackMm'), acrossMm: bounded('rackMm') })),
  /** State of the packet it lay in. */
  packet: z.optional(packetSchema),
  inspection: z.optional(inspectionSchema),
  /** Soak in the run that hardened it, min; absent if no run followed it. */
  soakedMin: z.optional(between(0, 100_000)),
  /** Its states in order; the newest counts. Absent: whole. */
  states: z.optional(z.array(bladeStateSchema).check(z.maxLength(100))),
  /** Hardened before and annealed: the blade it was then, and how many times it was hardened until now. */
  before: z.optional(z.object({ batchId: id, bladeId: id, hardened: wholeBetween(1, 20) })),
  /** Tempers of its own, after those of its group. */
  tempers: z.optional(z.array(temperSchema).check(z.maxLength(MOST.tempers))),
  files: z.optional(z.array(fileTestSchema).check(z.maxLength(20))),
  /** How its edge was proved, oldest first. */
  edgeTests: z.optional(z.array(edgeTestSchema).check(z.maxLength(100))),
  /** Measurements in finishing: the pivot hole before the heat, after it and its gauge, the edge thickness left, and the stock ground off per side. */
  sizes: z.optional(
    z.object({
      holeBeforeMm: z.optional(bounded('holeMm')),
      holeAfterMm: z.optional(bounded('holeMm')),
      gaugeMm: z.optional(bounded('holeMm')),
      edgeLeftMm: z.optional(bounded('edgeLeftMm')),
      groundOffMm: z.optional(bounded('groundOffMm')),
    }),
  ),
  /** Finishing tasks done. */
  finished: z.optional(z.array(z.enum(FINISH_TASKS)).check(z.maxLength(FINISH_TASKS.length))),
})

export type Line = ReadOnly<z.infer<typeof lineSchema>>
export type Blade = ReadOnly<z.infer<typeof bladeSchema>>
export type BladeInspection = ReadOnly<z.infer<typeof inspectionSchema>>
export type BladeStateEvent = ReadOnly<z.infer<typeof bladeStateSchema>>
export type EdgeTest = ReadOnly<z.infer<typeof edgeTestSchema>>
