import * as z from 'zod/mini'
import { WHY_NOT_CODES } from '../../day/limits'
import { TASK_KINDS } from '../../day/task-kinds'
import { batchSchema, HEATS_BEFORE } from '../../shop/batch'
import { between, id, wholeBetween } from '../../shop/fields'
import { rule } from '../../shop/problems'
import { workshopSchema } from '../../shop/workshop'
import { list } from './responses'

const minute = z.number().check(z.minimum(0), z.maximum(60 * 24 * 60))
const minutes = z.number().check(z.minimum(0), z.maximum(60 * 24 * 30))
const celsius = between(20, 1400)
const packets = wholeBetween(1, 400)
/** Hands at work; empty windows and those that overlap are put right. */
const span = z.readonly(z.tuple([minute, minute]))
const rising = <T extends readonly [number, number]>([least, most]: T) => most >= least
const range = (of: z.ZodMiniNumber) => z.readonly(z.tuple([of, of])).check(z.refine(rising, rule('most-below-least')))

const ruleOven = z.object({
  packets,
  tInfC: between(100, 3000),
  tauHeatMin: between(1, 2000),
  tauCoolMin: between(1, 5000),
})

export const planRequest = z.object({
  shop: z.object({
    oven: ruleOven,
    temperOven: z.nullable(ruleOven),
    plates: z.object({
      sets: wholeBetween(1, 10),
      pressMin: between(0, 600),
      handleMin: between(0, 600),
      maxRun: wholeBetween(1, 400),
      restMin: between(0, 600),
    }),
    coldBox: z.nullable(z.object({ packets: wholeBetween(0, 400) })),
    coolBetweenMin: minutes,
    overrunMin: minutes,
    work: z.readonly(z.array(span).check(z.maxLength(200))),
    /** When a second pair of hands is there. */
    helper: z._default(z.readonly(z.array(span).check(z.maxLength(200))), []),
  }),
  groups: z
    .readonly(
      z
        .array(
          z.object({
            id: z.string().check(z.minLength(1), z.maxLength(80)),
            count: packets,
            austenitizeC: range(celsius),
            soakMin: range(between(0, 600)),
            entryC: z.nullable(celsius),
            equaliseMin: between(0, 600),
            cold: z.nullable(z.object({ delayMin: minutes, holdMin: range(minutes) })),
            temper: z.object({
              atC: celsius,
              holdMin: z.number().check(z.minimum(5), z.maximum(60 * 48)),
            }),
            rounds: z._default(wholeBetween(1, 6), 2),
            maxToTemperMin: minutes,
            deadlineMin: z._default(z.nullable(minute), null),
          }),
        )
        .check(z.minLength(1), z.maxLength(60)),
    )
    .check(z.refine(groups => new Set(groups.map(({ id }) => id)).size === groups.length, rule('ids-not-apart'))),
  /** How much work is done for it, as seconds of a small machine. */
  seconds: z._default(between(0.05, 5), 1),
})

export const plannedDay = z.object({
  finishMin: z.number(),
  lowerBoundMin: z.number(),
  proven: z.boolean(),
  loads: list(z.object({ groups: list(z.string()), austenitizeC: z.number(), entryC: z.number() })),
  tasks: list(
    z.object({
      kind: z.enum(TASK_KINDS),
      load: z.nullable(z.int()),
      groups: list(z.string()),
      rounds: z.nullable(z.readonly(z.record(z.string(), z.int()))),
      startMin: z.number(),
      endMin: z.number(),
      /** The second pair of hands does it, while the first is at something else. */
      byHelper: z.boolean(),
    }),
  ),
})

const dayWhyNot = z.object({
  code: z.enum(WHY_NOT_CODES),
  groups: list(z.string()),
  amount: z.number(),
  /** Number of groups that a plan was found for, where it is a matter of hours. */
  fits: z.optional(z.int()),
})

export const planResponse = z.union([
  z.extend(plannedDay, { feasible: z.literal(true) }),
  z.object({
    feasible: z.literal(false),
    why: z.extend(dayWhyNot, { message: z.optional(z.string()) }),
    nearest: z.nullable(plannedDay),
  }),
])

const somewhen = z.number().check(z.minimum(-60 * 24 * 400), z.maximum(60 * 24 * 400))

/** The day of a workshop: its batches and where their blades stand, its hours, and now; times in min from a midnight. */
export const shopDayRequest = z.object({
  batches: z.readonly(
    z
      .array(
        z.object({
          batch: batchSchema,
          progress: z.record(
            id,
            z.object({
              kind: z.enum(['in-oven', 'quenched', 'in-cold', 'thawed', 'in-temper', 'tempered']),
              atMin: somewhen,
              loadedMin: somewhen,
              round: wholeBetween(0, 20),
            }),
          ),
          running: z.boolean(),
          notBeforeMin: z.nullable(minute),
          notAfterMin: z.nullable(somewhen),
          deadlineMin: z.nullable(somewhen),
          /** Blades in an anneal or a stress relief before they are hardened, and since when. */
          heatedInMin: z._default(z.readonly(z.record(id, somewhen)), {}),
        }),
      )
      .check(z.maxLength(60)),
  ),
  shop: workshopSchema,
  work: z.readonly(z.array(span).check(z.maxLength(200))),
  /** When a second pair of hands is there. */
  helper: z._default(z.readonly(z.array(span).check(z.maxLength(200))), []),
  /** When electricity costs less. */
  cheap: z._default(z.readonly(z.array(span).check(z.maxLength(200))), []),
  nowMin: minute,
  heatsAlone: z.boolean(),
  /** How much work is done for it: visits of a task's start. */
  visits: wholeBetween(1000, 20_000_000),
})

const groupIds = list(z.string())

export const shopDayResponse = z.object({
  plan: z.nullable(
    z.extend(plannedDay, {
      lanes: list(
        z.object({
          ovenId: z.string(),
          curve: list(z.readonly(z.tuple([z.number(), z.number()]))),
          stays: list(
            z.object({
              groups: groupIds,
              fromMin: z.number(),
              toMin: z.number(),
              atC: z.number(),
              rounds: z.nullable(z.readonly(z.record(z.string(), z.int()))),
              /** A heat before the hardening. */
              before: z.nullable(z.enum(HEATS_BEFORE)),
            }),
          ),
          onMin: z.nullable(z.number()),
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
      coolant: z.nullable(
        z.object({
          medium: z.enum(['dry-ice', 'liquid-nitrogen']),
          amount: z.number(),
          lostPerHour: z.number(),
          byMin: z.number(),
          lastsMin: z.number(),
        }),
      ),
      power: z.object({ kWh: z.number(), cheapKWh: z.number(), cost: z.nullable(z.number()) }),
      foil: z.nullable(z.object({ neededM: z.number(), leftM: z.nullable(z.number()), shortM: z.number() })),
      hands: z.nullable(
        z.object({ fromMin: z.number(), toMin: z.number(), totalMin: z.number(), helperMin: z.number() }),
      ),
    }),
  ),
  why: z.nullable(dayWhyNot),
  groups: list(z.object({ id: z.string(), batchId: z.string(), bladeIds: list(z.string()) })),
})

/** Blades put beside those of a line, on a day. */
export const addedRequest = z.extend(shopDayRequest, {
  added: z.object({ batchId: id, lineId: id, count: wholeBetween(1, 60) }),
})

export const addedResponse = z.object({
  /** When all is done with them; null: then it cannot be. */
  finishMin: z.nullable(z.number()),
  /** How much later that is, min; null where there is no end without them, or none with them. */
  laterMin: z.nullable(z.number()),
  /** Cost in the shop's currency. */
  cost: z.number(),
  why: z.nullable(dayWhyNot),
  groups: list(z.object({ id: z.string(), batchId: z.string(), bladeIds: list(z.string()) })),
})

/** The same, and when all is done by the plan one has; null: it is planned with as much work as each help. */
export const helpsRequest = z.extend(shopDayRequest, { plannedMin: z._default(z.nullable(z.number()), null) })

export const helpsResponse = z.object({
  latestStart: z.nullable(z.object({ startMin: z.number(), byMin: z.number() })),
  helps: list(
    z.object({
      code: z.enum(['helper', 'second-set', 'temper-oven', 'longer-hours', 'heats-alone', 'share-soak', 'leave-out']),
      batchIds: list(z.string()),
      untilMin: z.number(),
      soak: z.nullable(
        z.object({
          atC: z.number(),
          changes: list(z.object({ groupId: z.string(), gradeName: z.string(), fromC: z.number(), hrc: z.number() })),
        }),
      ),
      finishMin: z.number(),
      savedMin: z.nullable(z.number()),
    }),
  ),
})
