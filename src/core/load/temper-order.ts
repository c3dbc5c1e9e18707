import { type ChamberModel, coolDownMin, heatUpMin } from '../oven/chamber'

/** A temper load as it takes the oven: blades by what they are known by, since a round of theirs comes after the one before. */
export interface TemperJob {
  readonly round: number
  readonly atC: number
  /** With the time the blades lag behind, min. */
  readonly inOvenMin: number
  readonly bladeIds: readonly string[]
  /** When it should be in at the latest, since its blades stand untempered, min; absent: any time. */
  readonly dueMin?: number
}

/** The oven from when blades are ready on. */
export interface TemperOven {
  readonly chamber: ChamberModel
  readonly readyMin: number
  /** Oven temperature when blades are ready, with its power off, °C. */
  readonly atC: number
  /** Between two tempers of a blade, min. */
  readonly coolBetweenMin: number
}

export interface OrderedJob {
  /** Which of the jobs that were given. */
  readonly index: number
  readonly startMin: number
  readonly endMin: number
  /** Wait before it, min: blades must cool from their last temper, and the oven must fall. */
  readonly coolingMin: number
  readonly fallingMin: number
}

/** Up to so many jobs every order is tried. */
const MOST_TRIED = 7
/** An order has to end by so much sooner to be taken before the usual one, min. */
const WORTH_MIN = 1

/**
 * The order of temper loads in one oven in which blades wait the least beyond what they should, and of those the one that is done
 * soonest: hottest first while the oven falls, or waiting for it, whichever ends sooner. Every order is tried up to seven loads;
 * beyond, the load that can end first is taken each time. Of equals the usual order: by round, the cooler first.
 */
export function temperOrder(jobs: readonly TemperJob[], oven: TemperOven): OrderedJob[] {
  const usual = jobs.map((_, i) => i).sort((a, b) => usualFirst(jobs[a], jobs[b]))
  const tried = jobs.length <= MOST_TRIED ? ordersOf(usual, jobs) : [usual, soonestFirst(usual, jobs, oven)]
  let best = inOrder(usual, jobs, oven)
  for (const order of tried) {
    const plan = inOrder(order, jobs, oven)
    const sooner = lateOf(best, jobs) - lateOf(plan, jobs)
    if (sooner > WORTH_MIN || (sooner > -WORTH_MIN && endOf(plan) < endOf(best) - WORTH_MIN)) best = plan
  }
  return best
}

/** How long loads go in after they should, all together, min. */
const lateOf = (plan: readonly OrderedJob[], jobs: readonly TemperJob[]): number =>
  plan.reduce(
    (sum, { index, startMin }) => sum + Math.max(0, startMin - (jobs[index]?.dueMin ?? Number.POSITIVE_INFINITY)),
    0,
  )

const endOf = (plan: readonly OrderedJob[]): number => plan.at(-1)?.endMin ?? 0

const usualFirst = (a: TemperJob | undefined, b: TemperJob | undefined): number =>
  (a?.round ?? 0) - (b?.round ?? 0) || (a?.atC ?? 0) - (b?.atC ?? 0)

/** Whether a job must come after another: a later round of one of its blades. */
const comesAfter = (job: TemperJob, other: TemperJob): boolean =>
  other.round < job.round && other.bladeIds.some(id => job.bladeIds.includes(id))

/** Every order in which no blade has a round before the one it follows. */
function ordersOf(left: readonly number[], jobs: readonly TemperJob[]): number[][] {
  if (left.length === 0) return [[]]
  return left.flatMap(index => {
    const job = jobs[index] as TemperJob
    const rest = left.filter(other => other !== index)
    if (rest.some(other => comesAfter(job, jobs[other] as TemperJob))) return []
    return ordersOf(rest, jobs).map(order => [index, ...order])
  })
}

function soonestFirst(usual: readonly number[], jobs: readonly TemperJob[], oven: TemperOven): number[] {
  const order: number[] = []
  while (order.length < usual.length) {
    const open = usual.filter(
      index =>
        !order.includes(index) &&
        !usual.some(
          other =>
            other !== index && !order.includes(other) && comesAfter(jobs[index] as TemperJob, jobs[other] as TemperJob),
        ),
    )
    const ends = open.map(index => endOf(inOrder([...order, index], jobs, oven)))
    order.push(open[ends.indexOf(Math.min(...ends))] as number)
  }
  return order
}

/** Jobs one after another: each once its blades are cool and the oven has risen or fallen to its temperature. */
export function inOrder(order: readonly number[], jobs: readonly TemperJob[], oven: TemperOven): OrderedJob[] {
  const coolAt = new Map<string, number>()
  let [freeMin, ovenC] = [oven.readyMin, oven.atC]
  return order.map(index => {
    const job = jobs[index] as TemperJob
    const cooledMin = Math.max(0, ...job.bladeIds.map(id => coolAt.get(id) ?? 0))
    const fallingMin = coolDownMin(oven.chamber, ovenC, job.atC)
    const risingMin = heatUpMin(oven.chamber, ovenC, job.atC, 0)
    const startMin = Math.max(freeMin + fallingMin + risingMin, cooledMin)
    const coolingMin = Math.max(0, cooledMin - freeMin)
    const endMin = startMin + job.inOvenMin
    for (const id of job.bladeIds) coolAt.set(id, endMin + oven.coolBetweenMin)
    freeMin = endMin
    ovenC = job.atC
    return { index, startMin, endMin, coolingMin, fallingMin }
  })
}
