import { addTemper, holdFor, type Temper } from '../steel/tempering'
import { ARRIVED_WITHIN_K } from './lag'
import { type LogPoint, logAt } from './log-points'
import { temperedBladeC } from './temper-lag'

export interface AfterTemperRequest {
  /** Display readings, minutes and °C. */
  readonly points: readonly LogPoint[]
  /** True temperature at the blades for one shown, °C. */
  readonly trueC: (shownC: number) => number
  readonly asked: Temper
  readonly thicknessMm: number
  /** From the oven's air to the bare blade, W/m²K. */
  readonly hWPerM2K: number
  /** When the blades went in and came out, minutes into the log; null: read off the log. */
  readonly inMin: number | null
  readonly outMin: number | null
}

/** Effect of a measured temper on a blade. */
export interface LoggedTemper {
  readonly inMin: number
  readonly outMin: number
  /** When the blade came within 5 °C of what was asked; null where it never did. */
  readonly arrivedMin: number | null
  /** Minutes of the blade within 5 °C of what was asked or above it, and more than 5 °C above it. */
  readonly atHeatMin: number
  readonly aboveMin: number
  readonly bladePeakC: number
  /** How far the chamber went past what was asked, K; 0 where it did not. */
  readonly overshootK: number
  /** The hold that would have done the same at the temperature asked for, min. */
  readonly effectiveMin: number
  /** The temper as it happened: the blade's mean over its hold, and the hold that softens the same there. */
  readonly dose: Temper
  readonly blade: readonly LogPoint[]
}

/** The oven is warm from here on, and a fall below its hold by more than this is the door opened to load, K. No published source. */
const WARM_K = 5
const DOOR_DROP_K = 16
/** The last moment this near where it was held is taken for the end, K. No published source. */
const STILL_HOT_K = 15
const STEP_S = 10
/** Below this a blade does not temper in any time a shop has, °C. */
const COUNTS_FROM_C = 80
const ROOM_C = 20
const KEPT = 400

/** Where it was held: the middle of what it showed while warm, °C as shown. */
function heldC(points: readonly LogPoint[]): number {
  const hottest = Math.max(...points.map(([, c]) => c))
  const warm = points.map(([, c]) => c).filter(c => c > hottest / 2)
  return warm.sort((a, b) => a - b)[warm.length >> 1] ?? hottest
}

/**
 * When blades went in, off the log: where the deepest fall in its first half sets in, once the oven was warm; without one that
 * stands out of the oven's own swing, its start.
 */
export function wentIn(points: readonly LogPoint[]): number {
  const [start, end] = [points[0]?.[0] ?? 0, points.at(-1)?.[0] ?? 0]
  const held = heldC(points)
  const warmFrom = points.findIndex(([, c]) => c >= held - WARM_K)
  const early = points.filter(([min], i) => i >= warmFrom && min < (start + end) / 2)
  const lowest = early.reduce((best, p, i) => (p[1] < (early[best]?.[1] ?? 0) ? i : best), 0)
  if ((early[lowest]?.[1] ?? held) > held - DOOR_DROP_K) return start
  let top = lowest
  while (top > 0 && (early[top]?.[1] ?? 0) < held - WARM_K) top--
  return early[top]?.[0] ?? start
}

/** When they came out: the last moment near where it was held, which need not be what was asked. */
export function cameOut(points: readonly LogPoint[]): number {
  const held = heldC(points)
  return [...points].reverse().find(([, c]) => c >= held - STILL_HOT_K)?.[0] ?? 0
}

/**
 * Returns the effect of a measured temper on a bare blade: its own temperature by the lumped model in the logged air, and the hold it is
 * worth, added moment by moment by the tempering parameter. Source: Hollomon and Jaffe (1945); lag as in temperLagS.
 */
export function afterTemper(request: AfterTemperRequest): LoggedTemper {
  const { points, trueC, asked, thicknessMm, hWPerM2K } = request
  const inMin = request.inMin ?? wentIn(points)
  const outMin = Math.max(inMin, request.outMin ?? cameOut(points))
  const dtMin = STEP_S / 60
  const every = Math.max(1, Math.ceil((outMin - inMin) / dtMin / KEPT))
  const blade: LogPoint[] = [[inMin, ROOM_C]]
  let bladeC = ROOM_C
  let [bladePeakC, hottestC] = [ROOM_C, ROOM_C]
  let parameter: number | null = null
  let arrivedMin: number | null = null
  let [atHeatMin, aboveMin, sumC] = [0, 0, 0]
  let step = 0
  for (let min = inMin; min < outMin; min += dtMin) {
    const airC = trueC(logAt(points, min + dtMin / 2))
    bladeC = temperedBladeC(bladeC, airC, { thicknessMm, hWPerM2K }, STEP_S)
    bladePeakC = Math.max(bladePeakC, bladeC)
    hottestC = Math.max(hottestC, airC)
    if (bladeC >= COUNTS_FROM_C) parameter = addTemper(parameter, { atC: bladeC, holdMin: dtMin })
    if (bladeC >= asked.atC - ARRIVED_WITHIN_K) {
      arrivedMin ??= min
      atHeatMin += dtMin
      sumC += bladeC * dtMin
    }
    if (bladeC > asked.atC + ARRIVED_WITHIN_K) aboveMin += dtMin
    if (++step % every === 0) blade.push([min + dtMin, bladeC])
  }
  const doseC = atHeatMin > 0 ? sumC / atHeatMin : bladePeakC
  return {
    inMin,
    outMin,
    arrivedMin,
    atHeatMin,
    aboveMin,
    bladePeakC,
    overshootK: Math.max(0, hottestC - asked.atC),
    effectiveMin: parameter === null ? 0 : holdFor(parameter, asked.atC),
    dose: { atC: doseC, holdMin: parameter === null ? 0 : holdFor(parameter, doseC) },
    blade,
  }
}
