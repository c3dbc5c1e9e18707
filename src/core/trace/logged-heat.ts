import type { Grade } from '../../data/grades'
import type { BatchBlade } from '../batch/tray'
import { placesOf, rackPacketsOf } from '../load/heat-load'
import { type Load, loadOfGroup, loadsOf } from '../load/loads'
import { correctionOf } from '../oven/correction'
import { afterHeat, type LoggedHeat, pulledAt } from '../oven/logged-soak'
import { afterTemper, type LoggedTemper } from '../oven/logged-temper'
import { viewOf } from '../oven/rack'
import { temperAirWPerM2K } from '../oven/temper-lag'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { OvenLog } from '../shop/oven-log'
import type { PlannedRoute } from '../shop/route'
import type { Workshop } from '../shop/workshop'
import { compositionOf } from '../steel/steel'
import { logOf } from './oven-log'

/** A group's route as its logs show it. */
export interface LoggedRoute {
  /** Null where the heat was not logged. */
  readonly heat: LoggedHeat | null
  /** One for each temper of the route; null where it was not logged. */
  readonly tempers: readonly (LoggedTemper | null)[]
  /** The route with what was logged in the place of what was planned; null where the blade never came to its soak. */
  readonly route: PlannedRoute | null
}

/** A blade held for less than this has had no soak or temper that a model could count, min. */
const LEAST_MIN = 0.5
/** Of a group without blades, mm. */
const LEAST_THICKNESS_MM = 1

/** The oven a log is of; null once it is out of the workshop. */
const loggedOven = (log: OvenLog, shop: Pick<Workshop, 'ovens'>): Oven | null =>
  shop.ovens.find(oven => oven.id === log.ovenId) ?? null

/** True for shown by the oven's own correction. Of an oven that is gone the display is believed: another's would be worse. */
const trueBy = (oven: Oven | null) => {
  const correction = oven ? correctionOf(oven) : () => 0
  return (shownC: number) => shownC - correction(shownC)
}

/** Returns the logged route of the thickest blade of a group, from a batch's logs, newest first. */
export function loggedRoute(
  logs: readonly OvenLog[],
  batch: Batch,
  group: BatchGroup,
  grade: Grade,
  shop: Pick<Workshop, 'ovens' | 'units'>,
): LoggedRoute {
  const { route } = group
  const load = loadOfGroup(loadsOf(batch, shop.units), group.id)
  const heatLog = logOf(logs, group.id, 0)
  const thickest = load && thickestOf(load, group)
  const heat = heatLog && load && thickest ? heatOf(heatLog, load, thickest, grade, shop) : null
  const tempers = route.tempers.map((asked, i) => {
    const log = logOf(logs, group.id, i + 1)
    if (!log) return null
    const oven = loggedOven(log, shop)
    return afterTemper({
      points: log.points,
      trueC: trueBy(oven),
      asked,
      thicknessMm: thickest?.line.thicknessMm ?? LEAST_THICKNESS_MM,
      hWPerM2K: temperAirWPerM2K(oven?.fan),
      inMin: log.loadedMin,
      outMin: log.pulledMin,
    })
  })
  return { heat, tempers, route: heat && heat.doseC === null ? null : happened(route, heat, tempers) }
}

/**
 * Returns the logged heat of one blade: to its own pull, which comes `afterFirstMin` after the first of its load. Null
 * where the heat was not logged.
 */
export function loggedHeatOf(
  blade: BatchBlade,
  afterFirstMin: number,
  { logs, batch, grade, shop }: LoggedSources,
): LoggedHeat | null {
  const load = loadOfGroup(loadsOf(batch, shop.units), blade.group.id)
  const log = logOf(logs, blade.group.id, 0)
  if (!load || !log) return null
  return heatOf(
    { ...log, pulledMin: (log.pulledMin ?? pulledAt(log.points)) + afterFirstMin },
    load,
    blade,
    grade,
    shop,
  )
}

interface LoggedSources {
  readonly logs: readonly OvenLog[]
  readonly batch: Batch
  readonly grade: Grade
  readonly shop: Pick<Workshop, 'ovens' | 'units'>
}

function heatOf(log: OvenLog, load: Load, blade: BatchBlade, grade: Grade, shop: Pick<Workshop, 'ovens'>): LoggedHeat {
  const oven = loggedOven(log, shop)
  return afterHeat({
    points: log.points,
    trueC: trueBy(oven),
    austenitizeC: blade.group.route.austenitizeC,
    thicknessMm: blade.line.thicknessMm,
    // In an oven that is gone nobody knows where it stood: it is taken to have stood free.
    view: oven ? viewOf(blade.id, rackPacketsOf(load), placesOf(load, oven)) : 1,
    steel: compositionOf(grade),
    loadedMin: log.loadedMin,
    pulledMin: log.pulledMin,
  })
}

const thickestOf = (load: Load, group: BatchGroup): BatchBlade | undefined =>
  load.blades
    .filter(blade => blade.group.id === group.id)
    .reduce<BatchBlade | undefined>(
      (most, blade) => (!most || blade.line.thicknessMm > most.line.thicknessMm ? blade : most),
      undefined,
    )

function happened(
  route: PlannedRoute,
  heat: LoggedHeat | null,
  tempers: readonly (LoggedTemper | null)[],
): PlannedRoute {
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
