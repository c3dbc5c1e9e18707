import { edgeOf } from '../batch/prepare'
import type { Caution } from '../codes/caution'
import { fail, ok, type Result } from '../codes/result'
import { chamberOf } from '../equipment/chambers'
import { detailedOven, ovenOf } from '../equipment/ovens'
import { remembered } from '../numeric/remembered'
import { AMBIENT_C } from '../oven/chamber'
import { CROWDED_VIEW, FULL_VIEW } from '../oven/lag'
import { type SimulatedLoad, type Simulation, type SimulationRequest, simulateLoaded } from '../oven/simulate'
import { type SoakLag, soakLag } from '../oven/soak-lag'
import type { Batch } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { Workshop } from '../shop/workshop'
import { kindsOf, type LoadKind, loadKg, MOST_KINDS, placesOf } from './heat-load'
import { type Load, loadsOf } from './loads'
import { pullPlanOf } from './pull-plan'

/** A load that only warms the walls for the next, as equal blades of the same weight, near enough. */
function asOneKind(kinds: readonly LoadKind[]): Omit<LoadKind, 'lineId' | 'bladeIds'> {
  const count = kinds.reduce((sum, kind) => sum + kind.count, 0)
  const mean = (of: (kind: LoadKind) => number) => kinds.reduce((sum, kind) => sum + of(kind) * kind.count, 0) / count
  return {
    thicknessMm: mean(k => k.thicknessMm),
    widthMm: mean(k => k.widthMm),
    lengthMm: mean(k => k.lengthMm),
    view: mean(k => k.view),
    count,
  }
}

/** A load on its oven, after the loads before it, as the wall model is asked about it; and where it stands in the answer. */
export interface HeatAsked {
  readonly request: SimulationRequest
  readonly kinds: readonly LoadKind[]
  /** Blades that are not followed: there are too many kinds. */
  readonly leftOut: readonly string[]
  /** The segment the load goes in with, and the one it soaks in, from 0. */
  readonly firstSegment: number
}

/**
 * A load of a batch from cold: the oven's programme up to and with it, the loads before it soaked and pulled, so that it finds
 * the walls as hot as they will be. `holdsMin`: what each load's austenitize temperature is held for.
 */
export function heatOf(loads: readonly Load[], index: number, oven: Oven, holdsMin: readonly number[]): HeatAsked {
  const segments: { rateCPerH: null; targetC: number; holdMin: number }[] = []
  const blades: SimulatedLoad[] = []
  let firstSegment = 0
  let kinds: readonly LoadKind[] = []
  let leftOut: readonly string[] = []
  loads.slice(0, index + 1).forEach((each, i) => {
    firstSegment = segments.length
    for (const step of each.equalise.filter(step => step.atC < each.austenitizeC))
      segments.push({ rateCPerH: null, targetC: step.atC, holdMin: step.holdMin })
    segments.push({ rateCPerH: null, targetC: each.austenitizeC, holdMin: holdsMin[i] ?? 0 })
    const all = kindsOf(each, placesOf(each, oven))
    kinds = all.slice(0, MOST_KINDS)
    leftOut = all.slice(MOST_KINDS).flatMap(kind => kind.bladeIds)
    const when: SimulatedLoad['when'] =
      i > 0
        ? { segment: firstSegment }
        : each.entryC <= AMBIENT_C
          ? { atMin: 0 }
          : { ovenC: Math.min(each.entryC, each.austenitizeC) - 3 }
    if (i < index) blades.push({ ...asOneKind(all), when, outAtSegment: segments.length })
    else for (const { lineId: _, bladeIds: __, ...size } of kinds) blades.push({ ...size, when })
  })
  return {
    request: { oven: detailedOven(oven), startC: AMBIENT_C, segments, doorOpen: [], load: blades },
    kinds,
    leftOut,
    firstSegment,
  }
}

/** The Heat bench, the Heat Line, the day and the run's plan all ask the same of a batch. */
const simulated = remembered(simulateLoaded, 24)

/** Inputs of a simulated heat: the batch's tray, its oven and the plates that set how long a load is held. */
export interface HeatSources {
  readonly batch: Pick<Batch, 'lines' | 'blades' | 'groups' | 'entry' | 'ovenId' | 'ovenName'>
  readonly shop: Pick<Workshop, 'ovens' | 'plates' | 'oil' | 'roomC' | 'units'>
}

/** A load of a batch followed through its oven from cold, those before it first. Errors: as ovenOf and pullPlanOf; 'too-heavy'. */
export function simulatedHeat(
  { batch, shop }: HeatSources,
  loads: readonly Load[],
  loadIndex: number,
): Result<{ readonly asked: HeatAsked; readonly simulation: Simulation }> {
  const found = ovenOf(shop, batch)
  if (!found.ok) return found
  const holds: number[] = []
  for (const each of loads.slice(0, loadIndex + 1)) {
    const plan = pullPlanOf(each, shop, batch)
    if (!plan.ok) return plan
    holds.push(plan.value?.hold.holdMin ?? 0)
  }
  const asked = heatOf(loads, loadIndex, found.value, holds)
  const simulation = simulated(asked.request)
  return simulation.ok ? ok({ asked, simulation: simulation.value }) : simulation
}

/** A load's way to its soak as its oven goes it, min from oven on. */
export interface HeatPath {
  /** When the packets go in. */
  readonly loadedMin: number
  /** The preheats it is held at. */
  readonly holds: readonly { readonly fromMin: number; readonly toMin: number }[]
  /** When the oven is at its soak. */
  readonly reachedMin: number
  /** Oven temperature on the display, [min, °C]. */
  readonly curve: readonly (readonly [min: number, c: number])[]
}

/** The way of a load to its soak; null where it never gets there, or nothing is known of its oven. */
export function heatPathOf(sources: HeatSources, loads: readonly Load[], loadIndex: number): HeatPath | null {
  const heat = simulatedHeat(sources, loads, loadIndex)
  if (!heat.ok) return null
  const { asked, simulation } = heat.value
  const loadedMin = simulation.load.at(-1)?.insertedMin
  const reachedMin = simulation.segments.at(-1)?.reachedMin
  if (loadedMin === null || loadedMin === undefined || reachedMin === null || reachedMin === undefined) return null
  return {
    loadedMin,
    holds: simulation.segments
      .slice(asked.firstSegment, -1)
      .map(({ reachedMin: from, endedMin: to }) => ({ fromMin: from ?? reachedMin, toMin: to ?? reachedMin })),
    reachedMin,
    curve: simulation.curve.map(([min, c]) => [min, c]),
  }
}

/** Result of the wall model for one load. */
export interface HeatAnswer {
  readonly kinds: readonly (LoadKind & { readonly withinFiveCMin: number | null })[]
  /** Minutes from oven on until this load goes in, where one is before it, and until the oven is at its soak; null: never. */
  readonly fromMin: number
  readonly reachedMin: number | null
  /** Energy this load takes from the mains, from the end of the one before. */
  readonly energyKWh: number
  readonly leftOut: readonly string[]
  readonly cautions: readonly Caution[]
}

/** The same with how far a blade of one thickness is behind the oven, alone in it and crowded. */
export interface LoadHeat extends HeatAnswer {
  readonly alone: SoakLag
  readonly crowded: SoakLag
  /** How much sooner than its spine the ground edge of that blade is at heat; null where no bevel is ground. */
  readonly edge: { readonly edgeMm: number; readonly leadS: number } | null
}

/** One load of a batch on an oven. Errors: as ovenOf; 'too-heavy'; 'nothing-in-load' where the batch has no such load. */
export function heatOfLoad({ batch, shop, loadIndex, thicknessMm }: LoadHeatRequest): Result<LoadHeat> {
  const found = ovenOf(shop, batch)
  if (!found.ok) return found
  const oven = found.value
  const loads = loadsOf(batch, shop.units)
  const load = loads[loadIndex]
  if (!load || load.blades.length === 0) return fail('nothing-in-load', {}, 'loadIndex')
  const heat = simulatedHeat({ batch, shop }, loads, loadIndex)
  if (!heat.ok) return heat
  const { asked, simulation } = heat.value
  const behind = (view: number, mm = thicknessMm) =>
    soakLag({
      oven: chamberOf(oven),
      steelKg: loadKg(load),
      equalise: load.equalise,
      entryC: load.entryC,
      austenitizeC: load.austenitizeC,
      thicknessMm: mm,
      view,
    })
  const alone = behind(FULL_VIEW)
  const line = load.blades.find(blade => blade.line.thicknessMm === thicknessMm)?.line
  const edgeMm = line ? edgeOf(line) : thicknessMm
  return ok({
    ...heatAnswerOf(asked, simulation),
    alone,
    crowded: behind(CROWDED_VIEW),
    edge:
      edgeMm < thicknessMm ? { edgeMm, leadS: alone.afterLoadingS - behind(FULL_VIEW, edgeMm).afterLoadingS } : null,
  })
}

export interface LoadHeatRequest extends HeatSources {
  readonly loadIndex: number
  /** Whose lag is asked for, mm. */
  readonly thicknessMm: number
}

/** The part of an answer that is about the load that was asked for. */
export function heatAnswerOf(
  asked: HeatAsked,
  answer: Pick<Simulation, 'segments' | 'load' | 'energyKWh' | 'cautions'>,
): HeatAnswer {
  const before = answer.segments[asked.firstSegment - 1]
  const own = answer.load.slice(answer.load.length - asked.kinds.length)
  return {
    kinds: asked.kinds.map((kind, i) => ({ ...kind, withinFiveCMin: own[i]?.withinFiveCMin ?? null })),
    fromMin: before?.endedMin ?? 0,
    reachedMin: answer.segments.at(-1)?.reachedMin ?? null,
    energyKWh: answer.energyKWh - (before?.endedKWh ?? 0),
    leftOut: asked.leftOut,
    cautions: answer.cautions,
  }
}
