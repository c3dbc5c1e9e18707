import { z } from 'zod'
import { WHY_NOT_CODES } from '../../day/limits'
import { TASK_KINDS } from '../../day/task-kinds'
import { batchSchema, HEATS_BEFORE } from '../../shop/batch'
import { id } from '../../shop/bounds'
import { rule } from '../../shop/problems'
import { workshopSchema } from '../../shop/workshop'
import { list } from './responses'

const minute = z
  .number()
  .min(0)
  .max(60 * 24 * 60)
const minutes = z
  .number()
  .min(0)
  .max(60 * 24 * 30)
const celsius = z.number().min(20).max(1400)
const packets = z.int().min(1).max(400)
/** Hands at work; empty windows and those that overlap are put right. */
const span = z.tuple([minute, minute]).readonly()
const rising = <T extends readonly [number, number]>([least, most]: T) => most >= least
const range = (of: z.ZodNumber) => z.tuple([of, of]).readonly().refine(rising, rule('most-below-least'))

const ruleOven = z.object({
  packets,
  tInfC: z.number().min(100).max(3000),
  tauHeatMin: z.number().min(1).max(2000),
  tauCoolMin: z.number().min(1).max(5000),
})

export const planRequest = z.object({
  shop: z.object({
    oven: ruleOven,
    temperOven: ruleOven.nullable(),
    plates: z.object({
      sets: z.int().min(1).max(10),
      pressMin: z.number().min(0).max(600),
      handleMin: z.number().min(0).max(600),
      maxRun: z.int().min(1).max(400),
      restMin: z.number().min(0).max(600),
    }),
    coldBox: z.object({ packets: z.int().min(0).max(400) }).nullable(),
    coolBetweenMin: minutes,
    overrunMin: minutes,
    work: z.array(span).max(200).readonly(),
    /** When a second pair of hands is there. */
    helper: z.array(span).max(200).readonly().default([]),
  }),
  groups: z
    .array(
      z.object({
        id: z.string().min(1).max(80),
        count: packets,
        austenitizeC: range(celsius),
        soakMin: range(z.number().min(0).max(600)),
        entryC: celsius.nullable(),
        equaliseMin: z.number().min(0).max(600),
        cold: z.object({ delayMin: minutes, holdMin: range(minutes) }).nullable(),
        temper: z.object({
          atC: celsius,
          holdMin: z
            .number()
            .min(5)
            .max(60 * 48),
        }),
        rounds: z.int().min(1).max(6).default(2),
        maxToTemperMin: minutes,
        deadlineMin: minute.nullable().default(null),
      }),
    )
    .min(1)
    .max(60)
    .readonly()
    .refine(groups => new Set(groups.map(({ id }) => id)).size === groups.length, rule('ids-not-apart')),
  /** How much work is done for it, as seconds of a small machine. */
  seconds: z.number().min(0.05).max(5).default(1),
})

export const plannedDay = z.object({
  finishMin: z.number(),
  lowerBoundMin: z.number(),
  proven: z.boolean(),
  loads: list(z.object({ groups: list(z.string()), austenitizeC: z.number(), entryC: z.number() })),
  tasks: list(
    z.object({
      kind: z.enum(TASK_KINDS),
      load: z.int().nullable(),
      groups: list(z.string()),
      rounds: z.record(z.string(), z.int()).readonly().nullable(),
      startMin: z.number(),
      endMin: z.number(),
      /** The second pair of hands does it, while the first is at something else. */
      byHelper: z.boolean(),
    }),
  ),
})

export const planResponse = z.union([
  plannedDay.extend({ feasible: z.literal(true) }),
  z.object({
    feasible: z.literal(false),
    why: z.object({
      code: z.enum(WHY_NOT_CODES),
      message: z.string().optional(),
      groups: list(z.string()),
      amount: z.number(),
    }),
    nearest: plannedDay.nullable(),
  }),
])

const somewhen = z
  .number()
  .min(-60 * 24 * 400)
  .max(60 * 24 * 400)

/** The day of a workshop: its batches and where their blades stand, its hours, and now; times in min from a midnight. */
export const shopDayRequest = z.object({
  batches: z
    .array(
      z.object({
        batch: batchSchema,
        progress: z.record(
          id,
          z.object({
            kind: z.enum(['in-oven', 'quenched', 'in-cold', 'thawed', 'in-temper', 'tempered']),
            atMin: somewhen,
            loadedMin: somewhen,
            round: z.int().min(0).max(20),
          }),
        ),
        running: z.boolean(),
        notBeforeMin: minute.nullable(),
        notAfterMin: somewhen.nullable(),
        deadlineMin: somewhen.nullable(),
        /** Blades in an anneal or a stress relief before they are hardened, and since when. */
        heatedInMin: z.record(id, somewhen).readonly().default({}),
      }),
    )
    .max(60)
    .readonly(),
  shop: workshopSchema,
  work: z.array(span).max(200).readonly(),
  /** When a second pair of hands is there. */
  helper: z.array(span).max(200).readonly().default([]),
  /** When electricity costs less. */
  cheap: z.array(span).max(200).readonly().default([]),
  nowMin: minute,
  heatsAlone: z.boolean(),
  /** How much work is done for it: visits of a task's start. */
  visits: z.int().min(1000).max(20_000_000),
})

const groupIds = list(z.string())

export const shopDayResponse = z.object({
  plan: plannedDay
    .extend({
      lanes: list(
        z.object({
          ovenId: z.string(),
          curve: list(z.tuple([z.number(), z.number()]).readonly()),
          stays: list(
            z.object({
              groups: groupIds,
              fromMin: z.number(),
              toMin: z.number(),
              atC: z.number(),
              rounds: z.record(z.string(), z.int()).readonly().nullable(),
              /** A heat before the hardening. */
              before: z.enum(HEATS_BEFORE).nullable(),
            }),
          ),
          onMin: z.number().nullable(),
        }),
      ),
      waits: list(
        z.object({
          kind: z.enum(['to-cold', 'to-temper']),
          groups: groupIds,
          fromMin: z.number(),
          toMin: z.number(),
          limitMin: z.number(),
        }),
      ),
      coolant: z
        .object({
          medium: z.enum(['dry-ice', 'liquid-nitrogen']),
          amount: z.number(),
          lostPerHour: z.number(),
          byMin: z.number(),
          lastsMin: z.number(),
        })
        .nullable(),
      power: z.object({ kWh: z.number(), cheapKWh: z.number(), cost: z.number().nullable() }),
      foil: z.object({ neededM: z.number(), leftM: z.number().nullable(), shortM: z.number() }).nullable(),
      hands: z
        .object({ fromMin: z.number(), toMin: z.number(), totalMin: z.number(), helperMin: z.number() })
        .nullable(),
    })
    .nullable(),
  why: z.object({ code: z.enum(WHY_NOT_CODES), groups: groupIds, amount: z.number() }).nullable(),
  groups: list(z.object({ id: z.string(), batchId: z.string(), bladeIds: list(z.string()) })),
})

/** Blades put beside those of a line, on a day. */
export const addedRequest = shopDayRequest.extend({
  added: z.object({ batchId: id, lineId: id, count: z.int().min(1).max(60) }),
})

export const addedResponse = z.object({
  /** When all is done with them; null: then it cannot be. */
  finishMin: z.number().nullable(),
  /** How much later that is, min; null where there is no end without them, or none with them. */
  laterMin: z.number().nullable(),
  /** What they cost, in the shop's currency. */
  cost: z.number(),
  why: z.object({ code: z.enum(WHY_NOT_CODES), groups: groupIds, amount: z.number() }).nullable(),
  groups: list(z.object({ id: z.string(), batchId: z.string(), bladeIds: list(z.string()) })),
})

/** The same, and when all is done by the plan one has; null: it is planned with as much work as each help. */
export const helpsRequest = shopDayRequest.extend({ plannedMin: z.number().nullable().default(null) })

export const helpsResponse = z.object({
  latestStart: z.object({ startMin: z.number(), byMin: z.number() }).nullable(),
  helps: list(
    z.object({
      code: z.enum(['helper', 'second-set', 'temper-oven', 'longer-hours', 'heats-alone', 'share-soak', 'leave-out']),
      batchIds: list(z.string()),
      untilMin: z.number(),
      soak: z
        .object({
          atC: z.number(),
          changes: list(z.object({ groupId: z.string(), gradeName: z.string(), fromC: z.number(), hrc: z.number() })),
        })
        .nullable(),
      finishMin: z.number(),
      savedMin: z.number().nullable(),
    }),
  ),
})
