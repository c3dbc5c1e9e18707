import { AMBIENT_C } from '../oven/chamber'
import {
  ACT_MIN,
  type DayOven,
  type DayProblem,
  downToGrid,
  type HotRun,
  type RunAnswer,
  type RunRefusal,
  upToGrid,
  type Window,
} from './problem'
import { type PlateRules, pullSchedule } from './pull-schedule'

/** An oven by two time constants: it climbs towards the hottest it would come to, and falls towards the room. */
export interface RuleOven {
  readonly packets: number
  readonly tInfC: number
  readonly tauHeatMin: number
  readonly tauCoolMin: number
}

/** Blades of a steel, by plain figures. */
export interface RuleGroup {
  readonly id: string
  readonly count: number
  readonly austenitizeC: readonly [lo: number, hi: number]
  readonly soakMin: readonly [least: number, most: number]
  readonly entryC: number | null
  readonly equaliseMin: number
  readonly cold: { readonly delayMin: number; readonly holdMin: Window } | null
  readonly temper: { readonly atC: number; readonly holdMin: number }
  readonly rounds: number
  readonly maxToTemperMin: number
  readonly deadlineMin: number | null
}

export interface RuleShop {
  readonly oven: RuleOven
  readonly temperOven: RuleOven | null
  readonly plates: PlateRules
  readonly coldBoxPackets: number
  readonly coolBetweenMin: number
  readonly overrunMin: number
  readonly work: readonly Window[]
  /** When a second pair of hands is there. */
  readonly helper?: readonly Window[]
}

/** Nearer the room than this a fall is not waited for, °C. */
const LEAST_FALLEN_C = 25

/** Minutes by the two time constants; infinite where the oven never gets there. */
export function ruleTransMin({ tInfC, tauHeatMin, tauCoolMin }: RuleOven, fromC: number, toC: number): number {
  if (toC > fromC)
    return toC >= tInfC ? Number.POSITIVE_INFINITY : tauHeatMin * Math.log((tInfC - fromC) / (tInfC - toC))
  if (toC === fromC || fromC <= LEAST_FALLEN_C) return 0
  return tauCoolMin * Math.log((fromC - AMBIENT_C) / (Math.max(toC, LEAST_FALLEN_C) - AMBIENT_C))
}

const dayOven = (oven: RuleOven): DayOven => ({
  packets: oven.packets,
  transMin: (fromC, toC) => ruleTransMin(oven, fromC, toC),
})

const refused = (code: RunRefusal['code'], amount: number): RunAnswer => ({ ok: false, refusal: { code, amount } })

/** One closing of some groups, by the rules of the plan. */
function closingOf(shop: RuleShop, groups: readonly RuleGroup[], indices: readonly number[]): RunAnswer {
  const count = groups.reduce((sum, group) => sum + group.count, 0)
  if (count > shop.oven.packets) return refused('oven-too-small', shop.oven.packets)
  const austenitizeC = Math.max(...groups.map(group => group.austenitizeC[0]))
  const most = Math.min(...groups.map(group => group.austenitizeC[1]))
  if (austenitizeC > most) return refused('windows-apart', austenitizeC - most)
  const entryC = Math.min(austenitizeC, ...groups.map(group => group.entryC ?? austenitizeC))
  const equaliseMin = Math.max(...groups.map(group => group.equaliseMin))
  if (!Number.isFinite(ruleTransMin(shop.oven, AMBIENT_C, austenitizeC))) return refused('too-hot', austenitizeC)
  const climbMin = ruleTransMin(shop.oven, entryC, austenitizeC)
  const soakMin = ACT_MIN + upToGrid(climbMin) + equaliseMin
  const pulls = pullSchedule(groups, shop.plates)
  if (pulls.overMin > 0) return refused('soak-too-long', pulls.overMin)
  const offsetMin = downToGrid(soakMin + pulls.firstMin)
  const run: HotRun = {
    oven: 0,
    firstC: entryC,
    lastC: austenitizeC,
    tasks: [
      { kind: 'load', load: 0, offsetMin: 0, durationMin: ACT_MIN },
      { kind: 'pull', load: 0, offsetMin, durationMin: upToGrid(soakMin + pulls.endMin) - offsetMin },
    ],
    pullOf: new Map(indices.map(index => [index, 1])),
    loads: [{ groups: indices, austenitizeC, entryC }],
  }
  return { ok: true, run }
}

/** The plan's question by plain figures alone: ovens by two time constants, plates by minutes. Each group may be loaded by itself. */
export const ruleProblemOf = (shop: RuleShop, groups: readonly RuleGroup[]): DayProblem => ({
  ovens: [shop.oven, ...(shop.temperOven ? [shop.temperOven] : [])].map(dayOven),
  temperOven: shop.temperOven ? 1 : 0,
  coldBoxPackets: shop.coldBoxPackets,
  coolBetweenMin: shop.coolBetweenMin,
  overrunMin: shop.overrunMin,
  work: shop.work,
  helper: shop.helper ?? [],
  groups: groups.map(({ id, count, cold, temper, rounds, maxToTemperMin, deadlineMin }) => ({
    id,
    count,
    cold,
    tempers: Array.from({ length: rounds }, () => temper),
    maxToTemperMin,
    deadlineMin,
  })),
  atoms: groups.map((_, i) => [i]),
  runOf: indices =>
    closingOf(
      shop,
      indices.flatMap(i => groups[i] ?? []),
      indices,
    ),
})
