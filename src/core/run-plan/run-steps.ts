import { PACE } from '../../data/pace'
import { standing } from '../batch/blade-state'
import { bladesOf, thickestMm } from '../batch/tray'
import type { Result } from '../codes/result'
import { ok } from '../codes/result'
import { ovenOf, temperingOvenOf } from '../equipment/ovens'
import { quenchable } from '../equipment/quench-way'
import { type Load, loadsOf, steelsKnown, type TemperLoad } from '../load/loads'
import type { PlannedPull } from '../load/pull-plan'
import { AMBIENT_C } from '../oven/chamber'
import { keyedC } from '../oven/correction'
import type { Batch } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { RunBlade, RunStep } from '../shop/run'
import type { Workshop } from '../shop/workshop'
import { batchDayOf, type PlacedTemper, placeColdTempers } from './batch-day'
import { type PlannedLoad, plannedLoad, runBlade, runBladesOf } from './run-blades'

/** Chamber within this of its set point counts as there, K. Common practice, no published source. */
const AT_HEAT_WITHIN_K = 4
/** Hotter than this over its set point it is not ready either, K; packets that go in on the way up bear more. Common practice, no published source. */
const OVER_K = 8
const ENTRY_OVER_K = 40
/** Until an oven shows what it is set to, no colder and no hotter. */
const ovenAt = (setC: number, overK: number): RunStep['wait'] => ({
  kind: 'oven',
  atLeastC: setC - AT_HEAT_WITHIN_K,
  atMostC: setC + overK,
})

type Draft = Omit<RunStep, 'id'>

const numbered = (steps: readonly Draft[]): RunStep[] => steps.map((step, i) => ({ ...step, id: `s${i + 1}` }))

/** A step that waits for nothing, with the oven off and no blade moved, unless it says otherwise. */
const step = (kind: RunStep['kind'], station: string, part: Partial<Draft> = {}): Draft => ({
  kind,
  station,
  wait: null,
  ovenSetC: 0,
  bladeIds: [],
  names: {},
  ...part,
})

/** Plan of a run: its single actions in order, and its blades with the inputs of their clocks. */
export interface RunPlan {
  readonly steps: readonly RunStep[]
  readonly blades: readonly RunBlade[]
}

/**
 * The hot run as a list of single actions, in order: loads from cool to hot, one packet at a time through the
 * plates, inspection with count, cold together, tempers by round. The oven is set in corrected temperatures.
 * Errors: as ovenOf and temperingOvenOf, since no other oven may take their place; 'grade-gone', 'needs-oil'.
 */
export function buildRunSteps(batch: Batch, shop: Workshop): Result<RunPlan> {
  const oven = ovenOf(shop, batch)
  if (!oven.ok) return oven
  const loads = loadsOf(batch, shop.units)
  const blades = loads.flatMap(load => load.blades)
  for (const found of [steelsKnown(blades), quenchable(blades, shop)]) if (!found.ok) return found
  const day = batchDayOf(batch, shop)
  if (!day.ok) return day
  const tempering = temperSteps(day.value.tempers, shop, batch)
  if (!tempering.ok) return tempering
  const planned: PlannedLoad[] = []
  for (const load of loads) {
    const plan = plannedLoad(load, oven.value, shop, batch)
    if (!plan.ok) return plan
    planned.push(plan.value)
  }
  const all = standing(bladesOf(batch)).map(blade => blade.id)
  const last = loads.at(-1)
  return ok({
    steps: numbered([
      step('ready', 'heat', { bladeIds: [] }),
      ...planned.flatMap(({ load, pulls, alone }, i) => loadSteps(load, i === 0, oven.value, { pulls, alone })),
      ...(last ? [step('oven-off', 'plates', { ovenSetC: keyedC(oven.value, last.austenitizeC) })] : []),
      step('inspect', 'inspect', { names: {}, bladeIds: all }),
      ...coldSteps(batch),
      ...tempering.value,
      step('measure', 'measure'),
    ]),
    blades: planned.flatMap(runBladesOf),
  })
}

/** A run of tempers alone, for blades that were hardened before. Errors: as temperingOvenOf. */
export function buildTemperRun(loads: readonly TemperLoad[], shop: Workshop, batch: Batch): Result<RunPlan> {
  const oven = temperingOvenOf(shop, batch)
  const end = step('measure', 'measure')
  if (!oven.ok) return loads.length === 0 ? ok({ steps: numbered([end]), blades: [] }) : oven
  const tempering = temperSteps(placeColdTempers(loads, oven.value), shop, batch)
  const blades = new Map(loads.flatMap(load => load.blades).map(blade => [blade.id, runBlade(blade, undefined, 1)]))
  return tempering.ok ? ok({ steps: numbered([...tempering.value, end]), blades: [...blades.values()] }) : tempering
}

/** Entry, soak and the pulls of one load. A later load goes straight into the hot oven: it would take an hour to fall. */
function loadSteps(
  load: Load,
  isFirst: boolean,
  oven: Oven,
  { pulls, alone }: Pick<PlannedLoad, 'pulls' | 'alone'>,
): Draft[] {
  const setC = keyedC(oven, load.austenitizeC)
  const fromCold = isFirst && load.entryC <= AMBIENT_C
  const entrySetC = load.entryC <= AMBIENT_C ? AMBIENT_C : keyedC(oven, load.entryC)
  const bladeIds = load.blades.map(blade => blade.id)
  const last = load.blades.at(-1)
  if (!last) return []
  const lastInOil = pulls.at(-1)?.set === 0
  const loading = step('load', 'heat', {
    wait: fromCold ? null : ovenAt(entrySetC, ENTRY_OVER_K),
    ovenSetC: fromCold ? 0 : entrySetC,
    bladeIds,
  })
  const ways = fromCold
    ? [loading, step('oven-on-loaded', 'heat', { names: { setC } })]
    : [...(isFirst ? [step('oven-on', 'heat', { names: { setC: entrySetC } })] : []), loading]
  return [
    ...ways,
    ...load.equalise.map(({ atC, holdMin }) =>
      step('equalise', 'heat', {
        wait: { kind: 'seconds', seconds: holdMin * 60 },
        ovenSetC: keyedC(oven, atC),
        names: { atC: keyedC(oven, atC), setC, holdMin },
      }),
    ),
    step('full-heat', 'heat', {
      wait: ovenAt(setC, OVER_K),
      ovenSetC: setC,
      names: { setC },
    }),
    ...pullSteps(pulls, alone, setC),
    step('unclamp', 'plates', {
      wait: { kind: 'seconds', seconds: lastInOil ? PACE.oilS : PACE.clampedS },
      ovenSetC: setC,
      names: { afterBladeId: last.id, ...(lastInOil ? { oil: true } : {}) },
    }),
  ]
}

/** One packet at a time: each once its own soak is over, and not before door, hands and plates are ready for it. */
const pullSteps = (pulls: readonly PlannedPull[], alone: ReadonlyMap<string, number>, setC: number): Draft[] =>
  pulls.map((pull, i) => {
    const previous = pulls[i - 1]
    return step('pull', 'plates', {
      wait: {
        kind: 'soak',
        bladeId: pull.bladeId,
        apartS: Math.round(pull.apartS),
        apartAloneS: Math.round(Math.max(pull.apartS, alone.get(pull.bladeId) ?? 0)),
      },
      ovenSetC: setC,
      bladeIds: [pull.bladeId],
      names: {
        ...(previous ? { afterBladeId: previous.bladeId } : {}),
        ...(pull.restedS > 0 ? { restS: pull.restedS } : {}),
        ...(pull.set === 0 ? { oil: true } : {}),
      },
    })
  })

function coldSteps(batch: Batch): Draft[] {
  const cold = standing(bladesOf(batch)).flatMap(({ id, group }) =>
    group.route.cold ? [{ id, cold: group.route.cold }] : [],
  )
  if (cold.length === 0) return []
  const bladeIds = cold.map(({ id }) => id)
  const holdMin = Math.max(...cold.map(c => c.cold.holdMin))
  return [
    step('cold-in', 'cold', { bladeIds, names: { atC: Math.min(...cold.map(c => c.cold.toC)) } }),
    step('cold-out', 'cold', { bladeIds, wait: { kind: 'seconds', seconds: holdMin * 60 + PACE.coldLagS } }),
  ]
}

function temperSteps(placed: readonly PlacedTemper[], shop: Workshop, batch: Batch): Result<Draft[]> {
  if (placed.length === 0) return ok([])
  const oven = temperingOvenOf(shop, batch)
  if (!oven.ok) return oven
  const sameOven = shop.temperingOvenId === null
  return ok(
    placed.flatMap(({ load, coolingMin, fallingMin }, i): Draft[] => {
      const setC = keyedC(oven.value, load.atC)
      const bladeIds = load.blades.map(blade => blade.id)
      const { round } = load
      const thicknessMm = thickestMm(load.blades.map(blade => blade.line))
      return [
        coolingMin > 0
          ? step('temper-cool', 'temper', {
              wait: { kind: 'seconds', seconds: Math.round(coolingMin * 60) },
              names: { setC, round },
            })
          : step('temper-start', 'temper', {
              wait:
                (sameOven && i === 0) || fallingMin > 0
                  ? { kind: 'oven-below', atMostC: setC + AT_HEAT_WITHIN_K }
                  : null,
              names: { setC, round, sameOven },
            }),
        step('temper-in', 'temper', {
          wait: ovenAt(setC, OVER_K),
          ovenSetC: setC,
          bladeIds,
          names: { round, thicknessMm },
        }),
        step('temper-out', 'temper', {
          wait: { kind: 'seconds', seconds: (load.holdMin + PACE.temperLagMin) * 60 },
          ovenSetC: setC,
          bladeIds,
          names: { round },
        }),
      ]
    }),
  )
}
