import { type Coolant, coolantFor } from '../cost/coolant'
import { foilNeeded } from '../cost/foil-needed'
import { chamberOf } from '../equipment/chambers'
import { fallenC, heatUpMin } from '../oven/chamber'
import { leftOnRollMm } from '../shop/foil-roll'
import type { Oven } from '../shop/oven'
import type { ShopDay, ShopGroup } from './day-batch'
import type { DayPlan, PlannedTask } from './day-plan'
import { type DayPower, dayPower } from './day-power'
import type { WhyNot } from './limits'
import { planDay } from './plan'
import { type BeforeHeat, type DayGroup, downToGrid } from './problem'
import { type ShopProblem, shopProblem } from './shop-problem'

/** Blades that stand and wait, and until when they may, min; null: as long as one likes. */
export interface Wait {
  readonly kind: 'to-cold' | 'to-temper'
  readonly groups: readonly string[]
  readonly fromMin: number
  readonly toMin: number
  readonly limitMin: number
}

/** An oven through the day: what it shows, [min, °C], and what stands in it. */
export interface OvenLane {
  readonly ovenId: string
  readonly curve: readonly (readonly [min: number, c: number])[]
  readonly stays: readonly {
    readonly groups: readonly string[]
    readonly fromMin: number
    readonly toMin: number
    readonly atC: number
    /** Round of a temper; null: no temper. */
    readonly rounds: Readonly<Record<string, number>> | null
    /** A heat before the hardening; null: it is hardened or tempered. */
    readonly before: BeforeHeat['kind'] | null
  }[]
  /** When it has to be switched on first, min; null: it is not used. */
  readonly onMin: number | null
}

export interface ShopDayPlan extends DayPlan {
  readonly lanes: readonly OvenLane[]
  readonly waits: readonly Wait[]
  /** Electricity of what is still to come. */
  readonly power: DayPower
  /** Next coolant to buy, when it is needed, and until when it lasts, min; null: none. */
  readonly coolant: (Coolant & { readonly byMin: number; readonly lastsMin: number }) | null
  /** Foil still to be cut for what is to be loaded, and by how much the roll is short of it where that is counted, m; null: none is to be cut. */
  readonly foil: { readonly neededM: number; readonly leftM: number | null; readonly shortM: number } | null
  /** When hands are needed, min; for how long altogether, and so long a helper's beside them. */
  readonly hands: {
    readonly fromMin: number
    readonly toMin: number
    readonly totalMin: number
    readonly helperMin: number
  } | null
}

export interface ShopDayAnswer {
  readonly plan: ShopDayPlan | null
  /** Why there is none; then the plan is the nearest that can be, without the limit. */
  readonly why: WhyNot | null
  readonly groups: readonly { readonly id: string; readonly batchId: string; readonly bladeIds: readonly string[] }[]
}

/** Minutes between two points of a falling oven's curve. */
const FALL_STEP_MIN = 20
const ROOM_C = 20

/** The day of a workshop: what its hands do when, what each oven shows, who waits and how long he may. */
export function planShopDay(day: ShopDay, visits: number): ShopDayAnswer {
  const made = shopProblem(day)
  const groups = made.groups.map(({ id, batchId, blades }) => ({
    id,
    batchId,
    bladeIds: blades.map(blade => blade.id),
  }))
  if (groups.length === 0) return { plan: null, why: null, groups }
  const costOf = (plan: DayPlan) => powerOf(lanesOf(plan, made, day), day).cost ?? 0
  const answer = planDay(made.problem, {
    visits,
    ...(day.cheap.length > 0 && day.shop.prices?.cheap ? { costOf } : {}),
  })
  const plan = answer.feasible ? answer.plan : answer.nearest
  return { plan: plan && told(plan, made, day), why: answer.feasible ? null : answer.why, groups }
}

const lanesOf = (plan: DayPlan, made: ShopProblem, day: ShopDay): OvenLane[] =>
  day.shop.ovens.map((oven, index) => laneOf(oven, index, plan, made, day))

/** Returns the energy of the rest of the plan. */
const powerOf = (lanes: readonly OvenLane[], { shop, cheap, nowMin }: ShopDay): DayPower =>
  dayPower(lanes, shop, { cheap, fromMin: nowMin })

function told(plan: DayPlan, made: ShopProblem, day: ShopDay): ShopDayPlan {
  const ahead = plan.tasks.filter(task => task.endMin > day.nowMin)
  const lanes = lanesOf(plan, made, day)
  return {
    ...plan,
    lanes,
    power: powerOf(lanes, day),
    coolant: coolantOf(ahead, made, day),
    foil: foilOf(ahead, made, day),
    waits: waitsOf(plan, made.problem.groups),
    hands:
      ahead.length === 0
        ? null
        : {
            fromMin: Math.min(...ahead.map(task => task.startMin)),
            toMin: Math.max(...ahead.map(task => task.endMin)),
            totalMin: sumOf(ahead.filter(task => !task.byHelper)),
            helperMin: sumOf(ahead.filter(task => task.byHelper)),
          },
  }
}

const sumOf = (tasks: readonly PlannedTask[]): number =>
  tasks.reduce((sum, task) => sum + task.endMin - task.startMin, 0)

/** Returns the contents of a cold box for one purchase: from the first blade in until the last is held. */
function coolantOf(ahead: readonly PlannedTask[], made: ShopProblem, day: ShopDay): ShopDayPlan['coolant'] {
  const { shop, nowMin, batches } = day
  const isCold = batches.some(({ progress }) => [...progress.values()].some(at => at.kind === 'in-cold'))
  const bladesOf = (tasks: readonly PlannedTask[]) => {
    const ids = new Set(tasks.flatMap(task => task.groups))
    return made.groups.filter(({ id }) => ids.has(id)).flatMap(group => group.blades)
  }
  const heldUntil = (task: PlannedTask) =>
    task.startMin + Math.max(0, ...bladesOf([task]).map(({ group }) => group.route.cold?.holdMin ?? 0))
  const of = (tasks: readonly PlannedTask[]): ShopDayPlan['coolant'] => {
    const byMin = tasks[0]?.startMin ?? nowMin
    const lastsMin = Math.max(...tasks.map(heldUntil))
    const coolant = coolantFor(bladesOf(tasks), shop, { heldMin: lastsMin - (isCold ? nowMin : byMin), isCold })
    return coolant && { ...coolant, byMin, lastsMin }
  }
  const [first, ...rest] = ahead.filter(task => task.kind === 'cold-in')
  if (!first) return null
  const together = [first]
  for (const next of rest) {
    const [kept, alone] = [of([...together, next]), of([next])]
    // A box that costs more to keep cold until then than to chill anew is emptied between.
    if (!kept || !alone || kept.amount > (of(together)?.amount ?? 0) + alone.amount) break
    together.push(next)
  }
  return of(together)
}

function foilOf(
  ahead: readonly PlannedTask[],
  { groups }: ShopProblem,
  { shop, batches }: ShopDay,
): ShopDayPlan['foil'] {
  const ids = new Set(ahead.filter(task => task.kind === 'load').flatMap(task => task.groups))
  const neededM = batches.reduce((sum, { batch }) => {
    if (batch.foilCutM !== undefined) return sum
    const own = groups.filter(group => group.batchId === batch.id && ids.has(group.id)).flatMap(group => group.blades)
    if (own.length === 0) return sum
    const { metres, areaM2 } = foilNeeded(batch, shop)
    const all = [...areaM2.values()].reduce((area, each) => area + each, 0)
    const planned = own.reduce((area, blade) => area + (areaM2.get(blade.id) ?? 0), 0)
    return all > 0 ? sum + metres * (planned / all) : sum
  }, 0)
  if (neededM === 0) return null
  const leftMm = leftOnRollMm(shop.foil)
  const leftM = leftMm === undefined ? null : leftMm / 1000
  return { neededM, leftM, shortM: leftM === null ? 0 : Math.max(0, neededM - leftM) }
}

/** Occupancy of an oven with its temperature, [min, °C]. */
type LaneStay = OvenLane['stays'][number] & { readonly path: readonly (readonly [min: number, c: number])[] }

/** Heats before the hardening in one oven. */
function beforeStays(plan: DayPlan, { problem, pathOf }: ShopProblem, oven: number): LaneStay[] {
  const heats = (problem.before ?? []).flat().filter(heat => heat.oven === oven)
  const idOf = (group: number) => problem.groups[group]?.id ?? ''
  return plan.tasks.flatMap((into): LaneStay[] => {
    const heat = heats.find(
      ({ kind, groups }) => into.kind === `${kind}-in` && into.groups.includes(idOf(groups[0] ?? -1)),
    )
    const out = plan.tasks.find(task => task.kind === `${heat?.kind}-out` && task.groups.includes(into.groups[0] ?? ''))
    const path = pathOf.get(heat?.key ?? '')
    if (!heat || !out || !path) return []
    const [fromMin, toMin] = [into.startMin, out.endMin]
    return [
      {
        groups: into.groups,
        fromMin,
        toMin,
        atC: Math.max(...path.map(([, c]) => c)),
        rounds: null,
        before: heat.kind,
        path: [...path.map(([min, c]): [number, number] => [fromMin + min, c]), [toMin, heat.outC]],
      },
    ]
  })
}

function laneOf(oven: Oven, index: number, plan: DayPlan, made: ShopProblem, day: ShopDay): OvenLane {
  const hot = plan.loads.flatMap((load, i): LaneStay[] => {
    const into = plan.tasks.find(task => task.kind === 'load' && task.load === i)
    const pull = plan.tasks.find(task => task.kind === 'pull' && task.load === i)
    const ovenId = batchOf(load.groups[0], made.groups, day)?.batch.ovenId
    return into && pull && ovenId === oven.id
      ? [
          {
            groups: load.groups,
            fromMin: into.startMin,
            toMin: pull.endMin,
            atC: load.austenitizeC,
            rounds: null,
            before: null,
            path: [
              [into.startMin, load.entryC],
              [pull.startMin, load.austenitizeC],
              [pull.endMin, load.austenitizeC],
            ],
          },
        ]
      : []
  })
  const tempers =
    index === made.problem.temperOven
      ? plan.tasks
          .filter(task => task.kind === 'temper-in')
          .flatMap(into => temperStay(into, plan, made.problem.groups))
      : []
  const stays = [...beforeStays(plan, made, index), ...hot, ...tempers].sort((a, b) => a.fromMin - b.fromMin)
  const chamber = chamberOf(oven)
  const curve: [number, number][] = []
  let [lastMin, lastC]: [number | null, number] = [null, ROOM_C]
  for (const stay of stays) {
    const heatMin = (fromC: number) => heatUpMin(chamber, fromC, stay.path[0]?.[1] ?? stay.atC, 0)
    if (lastMin === null) {
      curve.push([stay.fromMin - heatMin(ROOM_C), ROOM_C])
    } else {
      const from = lastMin
      // Off, it falls until it has to rise again for what comes next.
      const fellC = (min: number) => fallenC(chamber, lastC, min - from)
      let at = from
      while (at + FALL_STEP_MIN < stay.fromMin - heatMin(fellC(at))) {
        curve.push([at, fellC(at)])
        at += FALL_STEP_MIN
      }
      curve.push([Math.max(at, stay.fromMin - heatMin(fellC(at))), fellC(at)])
    }
    curve.push(...stay.path.map(([min, c]): [number, number] => [min, c]))
    ;[lastMin, lastC] = stay.path.at(-1) ?? [stay.toMin, stay.atC]
  }
  if (lastMin !== null)
    for (let min = FALL_STEP_MIN; fallenC(chamber, lastC, min) > ROOM_C + 30; min += FALL_STEP_MIN)
      curve.push([lastMin + min, fallenC(chamber, lastC, min)])
  const [first] = stays
  return {
    ovenId: oven.id,
    curve,
    stays: stays.map(({ path: _, ...stay }) => stay),
    onMin: first ? downToGrid(curve[0]?.[0] ?? 0) : null,
  }
}

function temperStay(into: PlannedTask, plan: DayPlan, groups: readonly DayGroup[]): LaneStay[] {
  const first = into.groups[0] ?? ''
  const round = into.rounds?.[first] ?? 1
  const out = plan.tasks.find(task => task.kind === 'temper-out' && task.rounds?.[first] === round)
  const atC = groups.find(({ id }) => id === first)?.tempers[round - 1]?.atC
  return out && atC !== undefined
    ? [
        {
          groups: into.groups,
          fromMin: into.startMin,
          toMin: out.endMin,
          atC,
          rounds: into.rounds,
          before: null,
          path: [
            [into.startMin, atC],
            [out.endMin, atC],
          ],
        },
      ]
    : []
}

const batchOf = (group: string | undefined, groups: readonly ShopGroup[], day: ShopDay) =>
  day.batches.find(({ batch }) => batch.id === groups.find(({ id }) => id === group)?.batchId)

function waitsOf(plan: DayPlan, groups: readonly DayGroup[]): Wait[] {
  const of = (kind: PlannedTask['kind'], id: string) =>
    plan.tasks.find(
      task => task.kind === kind && task.groups.includes(id) && (task.rounds === null || task.rounds[id] === 1),
    )
  return groups.flatMap(({ id, cold, maxToTemperMin, progress }): Wait[] => {
    const pull = plan.tasks.find(
      task => task.kind === 'pull' && task.load !== null && plan.loads[task.load]?.groups.includes(id),
    )
    const [into, out, temper] = [of('cold-in', id), of('cold-out', id), of('temper-in', id)]
    const quenchedMin = pull?.endMin ?? (progress?.kind === 'quenched' ? progress.atMin : null)
    const toCold =
      cold && into && quenchedMin !== null
        ? [
            {
              kind: 'to-cold' as const,
              groups: [id],
              fromMin: quenchedMin,
              toMin: into.startMin,
              limitMin: cold.delayMin,
            },
          ]
        : []
    const readyMin = out?.endMin ?? (progress?.kind === 'thawed' ? progress.atMin : cold ? null : quenchedMin)
    return temper && readyMin !== null
      ? [
          ...toCold,
          {
            kind: 'to-temper' as const,
            groups: [id],
            fromMin: readyMin,
            toMin: temper.startMin,
            limitMin: maxToTemperMin,
          },
        ]
      : toCold
  })
}
