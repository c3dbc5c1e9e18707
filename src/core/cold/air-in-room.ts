import { CO2_LIMITS_PPM, OXYGEN } from '../../data/cold'
import { type AirLimitName, type AirRefused, type Caution, caution } from '../codes/caution'
import { BACKGROUND_CO2, CHILL_MIN, gasShareAfter, type Room } from './room'

/** A limit of the workplace, what this room comes to, and when. */
export interface AirLimit {
  readonly name: AirLimitName
  readonly limit: number
  readonly gas: 'co2' | 'oxygen'
  /** Level it is judged by, its own averaging time: ppm of CO2, % of oxygen. */
  readonly level: number
  readonly kept: boolean
  /** Minutes from the first gas until the level stands at the limit; null: never in the chill and hold. */
  readonly reachedMin: number | null
}

export interface AirRequest {
  readonly gas: 'co2' | 'nitrogen'
  readonly chillM3: number
  readonly holdM3: number
  readonly holdH: number
  readonly room: Room
}

export interface AirInRoom {
  readonly peakShare: number
  readonly limits: readonly AirLimit[]
  /** Air changes an hour that would keep the worst instant within the limit it may never pass. */
  readonly neededAirChangesPerH: number
  /** Over a limit that ends the plan: it is refused as it stands. */
  readonly refused: AirRefused | null
}

const STEP_MIN = 0.5
const SHIFT_MIN = 8 * 60
const MOST_CHANGES = 400

/** Share of the gas in the room through chill, hold and the rest of a shift, one value each half minute. */
function levels(request: AirRequest, room: Room): Float64Array {
  const background = request.gas === 'co2' ? BACKGROUND_CO2 : 0
  const holdMin = request.holdH * 60
  const n = Math.ceil(Math.max(SHIFT_MIN, CHILL_MIN + holdMin) / STEP_MIN)
  const out = new Float64Array(n + 1)
  out[0] = background
  for (let i = 1; i <= n; i++) {
    const min = (i - 0.5) * STEP_MIN
    const perMin =
      min < CHILL_MIN
        ? request.chillM3 / CHILL_MIN
        : min < CHILL_MIN + holdMin && holdMin > 0
          ? request.holdM3 / holdMin
          : 0
    out[i] = gasShareAfter(perMin * STEP_MIN, STEP_MIN, room, background, out[i - 1])
  }
  return out
}

const highestMean = (shares: Float64Array, minutes: number): number => {
  const width = Math.min(shares.length - 1, Math.round(minutes / STEP_MIN))
  const mean = (i: number) => ((shares[i - 1] as number) + (shares[i] as number)) / 2
  let sum = 0
  for (let i = 1; i <= width; i++) sum += mean(i)
  let best = sum
  for (let i = width + 1; i < shares.length; i++) {
    sum += mean(i) - mean(i - width)
    best = Math.max(best, sum)
  }
  return best / width
}

/**
 * Returns the effect of a chill on the air of a well-mixed room, against workplace limits, each with its own averaging time; and the
 * ventilation that keeps to them. Over the box, on the floor or in a pit it is worse.
 */
export function airInRoom(request: AirRequest): AirInRoom {
  const shares = levels(request, request.room)
  const peakShare = Math.max(...shares)
  const firstAt = (share: number) => {
    const i = shares.findIndex(s => s >= share)
    return i < 0 ? null : i * STEP_MIN
  }
  const needed = neededChanges(request)
  const limits = request.gas === 'co2' ? co2Limits(shares, peakShare, firstAt) : oxygenLimits(peakShare, firstAt)
  return {
    peakShare,
    limits,
    neededAirChangesPerH: needed,
    refused: refusal(request.gas, peakShare, limits, needed),
  }
}

function co2Limits(shares: Float64Array, peak: number, firstAt: (share: number) => number | null): AirLimit[] {
  const ppm = (share: number) => 1e6 * share
  const limit = (name: AirLimitName, at: number, level: number): AirLimit => ({
    name,
    limit: at,
    gas: 'co2',
    level: ppm(level),
    kept: ppm(level) <= at,
    reachedMin: firstAt(at / 1e6),
  })
  return [
    limit('eight-hours', CO2_LIMITS_PPM.eightHours, highestMean(shares, SHIFT_MIN)),
    limit('fifteen-minutes', CO2_LIMITS_PPM.fifteenMinutes, highestMean(shares, 15)),
    limit('instant-co2', CO2_LIMITS_PPM.immediatelyDangerous, peak),
  ]
}

function oxygenLimits(peak: number, firstAt: (share: number) => number | null): AirLimit[] {
  const share = 1 - OXYGEN.leastPercent / OXYGEN.normalPercent
  const level = OXYGEN.normalPercent * (1 - peak)
  return [
    {
      name: 'instant-oxygen',
      limit: OXYGEN.leastPercent,
      gas: 'oxygen',
      level,
      kept: level >= OXYGEN.leastPercent,
      reachedMin: firstAt(share),
    },
  ]
}

/** Returns the cautions about the air: the refusal, or the limits exceeded. */
export function airCautions(air: AirInRoom): Caution[] {
  if (air.refused) return [caution('air-refused', air.refused)]
  return air.limits
    .filter(limit => !limit.kept)
    .map(({ gas, level, limit, name }) => caution('air-limit', { gas, level, limit, name }))
}

/** The share no instant may pass: for CO2 the 15-minute limit, so that a mean over it keeps as well. */
const ceilingOf = (gas: AirRequest['gas']) =>
  gas === 'co2' ? CO2_LIMITS_PPM.fifteenMinutes / 1e6 : 1 - OXYGEN.leastPercent / OXYGEN.normalPercent

function neededChanges(request: AirRequest): number {
  const peakAt = (airChangesPerH: number) => Math.max(...levels(request, { ...request.room, airChangesPerH }))
  const ceiling = ceilingOf(request.gas)
  if (peakAt(0) <= ceiling) return 0
  if (peakAt(MOST_CHANGES) > ceiling) return Number.POSITIVE_INFINITY
  let [low, high] = [0, MOST_CHANGES]
  for (let i = 0; i < 20; i++) {
    const middle = (low + high) / 2
    if (peakAt(middle) > ceiling) low = middle
    else high = middle
  }
  return Math.ceil(high * 2) / 2
}

function refusal(gas: AirRequest['gas'], peak: number, limits: readonly AirLimit[], needed: number): AirRefused | null {
  const level = gas === 'nitrogen' ? OXYGEN.normalPercent * (1 - peak) : 1e6 * peak
  // The 8-hour mean is a matter of not staying; the others are of not beginning.
  const broken = limits.some(limit => !limit.kept && limit.name !== 'eight-hours')
  return broken ? { gas, level, neededAirChangesPerH: Number.isFinite(needed) ? needed : null } : null
}
