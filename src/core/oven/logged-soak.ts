import type { Composition } from '../../data/grades'
import { soakWorth } from '../steel/austenite'
import { ARRIVED_WITHIN_K, type PacketState, stepPacket } from './lag'
import { type LogPoint, logAt } from './log-points'

/** A door opened shows as a fall within this long, min. */
const DOOR_WITHIN_MIN = 4

/** The first moment from `fromMin` on after which the display falls by `dropK` within four minutes; null where it never does. */
function firstDrop(points: readonly LogPoint[], fromMin: number, toMin: number, dropK: number): number | null {
  for (let i = 0; i < points.length; i++) {
    const [min, c] = points[i] as LogPoint
    if (min < fromMin) continue
    if (min >= toMin) return null
    for (let j = i + 1; j < points.length; j++) {
      const [later, c2] = points[j] as LogPoint
      if (later - min > DOOR_WITHIN_MIN) break
      if (c - c2 >= dropK) return topBefore(points, i, j)
    }
  }
  return null
}

/** The last of the highest samples of a stretch: where the fall sets in, not where the window began. */
function topBefore(points: readonly LogPoint[], from: number, to: number): number {
  let top = from
  for (let i = from; i < to; i++) if ((points[i] as LogPoint)[1] >= (points[top] as LogPoint)[1] - 0.5) top = i
  return (points[top] as LogPoint)[0]
}

export interface AfterRequest {
  /** Display readings, minutes and °C. */
  readonly points: readonly LogPoint[]
  /** True temperature at the blades for one shown, °C. */
  readonly trueC: (shownC: number) => number
  readonly austenitizeC: number
  readonly thicknessMm: number
  /** How freely the packet sees the chamber, 0..1. */
  readonly view: number
  readonly steel: Composition
  /** When the packets went in and this one came out, minutes into the log; null: read off the log. */
  readonly loadedMin: number | null
  readonly pulledMin: number | null
}

/** Effect of a measured heat on a blade. */
export interface LoggedHeat {
  readonly loadedMin: number
  readonly pulledMin: number
  /** When the blade came within 5 °C of the soak; null where it never did. */
  readonly arrivedMin: number | null
  /** Minutes of the blade within 5 °C of the soak or above it, and more than 5 °C above it. */
  readonly atHeatMin: number
  readonly aboveMin: number
  readonly bladePeakC: number
  /** How far the display went past what was asked, K; 0 where it did not. */
  readonly overshootK: number
  /** The soak that would have done the same at the temperature asked for, min. */
  readonly effectiveSoakMin: number
  /** Mean of the blade over its soak, each minute by what it dissolved, °C; null where it never arrived. */
  readonly doseC: number | null
  /** The soak at doseC, min: with it the prediction is made anew. */
  readonly soakAtDoseMin: number
  readonly blade: readonly LogPoint[]
}

/** A drop this steep in the climb is the door opened to load, K in four minutes. */
const DOOR_DROP_K = 20
/** The first drop this steep once it is at heat is the door opened to pull, K in four minutes. */
const PULL_DROP_K = 8
/** At heat: this near its hottest, K. */
const STILL_HOT_K = 12
const STEP_S = 5
/** The climb belongs to every soak and to the charts: what is colder than the soak by more than this is not counted, K. */
const COUNTS_WITHIN_K = 25
const ROOM_C = 20
const KEPT = 400

/** When packets went in, off the log: the first steep drop on the way up; without one, at its start. */
export function loadedAt(points: readonly LogPoint[]): number {
  const start = points[0]?.[0] ?? 0
  const peak = points.reduce((best, p) => (p[1] > best[1] ? p : best), points[0] ?? [0, 0])
  return firstDrop(points, start, peak[0], DOOR_DROP_K) ?? start
}

/** When the first packet came out, off the log: the first drop at heat; without one, the last moment near the hottest. */
export function pulledAt(points: readonly LogPoint[]): number {
  const peakC = Math.max(...points.map(([, c]) => c))
  const arrived = points.find(([, c]) => c >= peakC - STILL_HOT_K)?.[0] ?? 0
  const drop = firstDrop(points, arrived, Number.POSITIVE_INFINITY, PULL_DROP_K)
  if (drop !== null) return drop
  return [...points].reverse().find(([, c]) => c >= peakC - STILL_HOT_K)?.[0] ?? 0
}

/**
 * Returns the effect of a measured heat on a blade in foil: its own temperature by the lumped model in the logged chamber, the minutes it was
 * there, and the soak they are worth by the kinetics of its carbides.
 */
export function afterHeat(request: AfterRequest): LoggedHeat {
  const { points, trueC, austenitizeC, steel } = request
  const loadedMin = request.loadedMin ?? loadedAt(points)
  const pulledMin = Math.max(loadedMin, request.pulledMin ?? pulledAt(points))
  const packet = { thicknessMm: request.thicknessMm, view: request.view }
  let state: PacketState = { foilC: ROOM_C, bladeC: ROOM_C }
  let arrivedMin: number | null = null
  let [atHeatMin, aboveMin, effective] = [0, 0, 0]
  let [weighed, weights] = [0, 0]
  let bladePeakC = ROOM_C
  const blade: LogPoint[] = [[loadedMin, ROOM_C]]
  const dtMin = STEP_S / 60
  const every = Math.max(1, Math.ceil((pulledMin - loadedMin) / dtMin / KEPT))
  let step = 0
  for (let min = loadedMin; min < pulledMin; min += dtMin) {
    state = stepPacket(state, packet, trueC(logAt(points, min)), STEP_S)
    const c = state.bladeC
    bladePeakC = Math.max(bladePeakC, c)
    if (c >= austenitizeC - ARRIVED_WITHIN_K) {
      arrivedMin ??= min
      atHeatMin += dtMin
    }
    if (c > austenitizeC + ARRIVED_WITHIN_K) aboveMin += dtMin
    if (c > austenitizeC - COUNTS_WITHIN_K) {
      const worth = soakWorth(steel, c, austenitizeC)
      effective += worth * dtMin
      if (c >= austenitizeC - ARRIVED_WITHIN_K) {
        weighed += worth * c
        weights += worth
      }
    }
    if (++step % every === 0) blade.push([min, c])
  }
  const doseC = weights > 0 ? weighed / weights : null
  const hottest = Math.max(...points.filter(([m]) => m >= loadedMin && m <= pulledMin).map(([, c]) => trueC(c)))
  return {
    loadedMin,
    pulledMin,
    arrivedMin,
    atHeatMin,
    aboveMin,
    bladePeakC,
    overshootK: Math.max(0, hottest - austenitizeC),
    effectiveSoakMin: effective,
    doseC,
    soakAtDoseMin: doseC === null ? 0 : effective * soakWorth(steel, austenitizeC, doseC),
    blade,
  }
}
