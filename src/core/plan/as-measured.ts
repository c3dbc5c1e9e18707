import type { Grade } from '../../data/grades'
import { type After, afterHeat } from '../oven/after'
import { type AfterTemper, afterTemper } from '../oven/after-temper'
import { correctionOf } from '../oven/correction'
import { viewOf } from '../oven/rack'
import { temperAirWPerM2K } from '../oven/temper-lag'
import { logOf } from '../record/oven-log'
import { ovenOf } from '../record/oven-record'
import type { Oven } from '../record/oven-schema'
import type { Batch, BatchGroup, OvenLog, Workshop } from '../record/schemas'
import { compositionOf } from '../steel/steel'
import { packetsOf, placesOf } from './heat-load'
import { type Load, loadsOf } from './tray'

/** A group's route as its logs show it. */
export interface AsMeasured {
  /** Null where the heat was not logged. */
  readonly heat: After | null
  /** One for each temper of the route; null where it was not logged. */
  readonly tempers: readonly (AfterTemper | null)[]
  /** The route with what was logged in the place of what was planned; null where the blade never came to its soak. */
  readonly route: BatchGroup['route'] | null
}

/** A blade held for less than this has had no soak or temper that a model could count, min. */
const LEAST_MIN = 0.5

/** The oven a log is of; null once it is out of the workshop. */
const loggedOven = (log: OvenLog, shop: Workshop): Oven | null =>
  shop.ovens.find(oven => oven.id === log.ovenId) ?? null

/** True for shown by the oven's own correction. Of an oven that is gone the display is believed: another's would be worse. */
const trueBy = (oven: Oven | null) => {
  const correction = oven ? correctionOf(oven) : () => 0
  return (shownC: number) => shownC - correction(shownC)
}

/** What the logs of a batch, newest first, say happened to the thickest blade of one of its groups. */
export function asMeasured(
  logs: readonly OvenLog[],
  batch: Batch,
  group: BatchGroup,
  grade: Grade,
  shop: Workshop,
): AsMeasured {
  const { route } = group
  const load = loadsOf(batch).find(l => l.groups.some(g => g.id === group.id))
  const heatLog = logOf(logs, group.id, 0)
  const heat = heatLog && load ? heatOf(heatLog, load, batch, group, grade, shop) : null
  const tempers = route.tempers.map((asked, i) => {
    const log = logOf(logs, group.id, i + 1)
    if (!log) return null
    const oven = loggedOven(log, shop)
    return afterTemper({
      points: log.points,
      trueC: trueBy(oven),
      asked,
      thicknessMm: thickest(load, group),
      hWPerM2K: temperAirWPerM2K(oven?.fan),
      inMin: log.loadedMin,
      outMin: log.pulledMin,
    })
  })
  return { heat, tempers, route: heat && heat.doseC === null ? null : happened(route, heat, tempers) }
}

function heatOf(log: OvenLog, load: Load, batch: Batch, group: BatchGroup, grade: Grade, shop: Workshop): After {
  const oven = loggedOven(log, shop)
  const own = load.pieces.filter(p => p.group.id === group.id)
  const thick = own.find(p => p.blade.thicknessMm === thickest(load, group))
  return afterHeat({
    points: log.points,
    trueC: trueBy(oven),
    austenitizeC: group.route.austenitizeC,
    thicknessMm: thickest(load, group),
    view: thick ? viewOf(thick.mark, packetsOf(load), placesOf(load, oven ?? ovenOf(shop, batch), batch)) : 1,
    steel: compositionOf(grade),
    loadedMin: log.loadedMin,
    pulledMin: log.pulledMin,
  })
}

const thickest = (load: Load | undefined, group: BatchGroup): number =>
  Math.max(1, ...(load?.pieces ?? []).filter(p => p.group.id === group.id).map(p => p.blade.thicknessMm))

function happened(
  route: BatchGroup['route'],
  heat: After | null,
  tempers: readonly (AfterTemper | null)[],
): BatchGroup['route'] {
  const soaked =
    heat?.doseC == null
      ? route
      : { ...route, austenitizeC: heat.doseC, soakMin: Math.max(LEAST_MIN, heat.soakAtDoseMin) }
  return {
    ...soaked,
    tempers: route.tempers.map((asked, i) => {
      const dose = tempers[i]?.dose
      return dose ? { atC: dose.atC, holdMin: Math.max(LEAST_MIN, dose.holdMin) } : asked
    }),
  }
}

/** What a logged soak was worth of the one asked for; null where no heat was logged. */
export const soakedShare = (heat: After | null, askedMin: number): number | null =>
  heat && (heat.arrivedMin === null ? 0 : heat.effectiveSoakMin / Math.max(LEAST_MIN, askedMin))
