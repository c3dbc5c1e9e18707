/** A line of a programme: rate in °C/h, or null for as fast as the oven goes. */
export interface ProgrammeSegment {
  readonly rateCPerH: number | null
  readonly targetC: number
  readonly holdMin: number
}

/** How near its target a controller calls it reached, K. */
export const REACHED_WITHIN_K = 1
/** Proportional band and integral time of the stand-in controller: calibrated on the reference's minutes to 790 °C (docs/method.md). */
const BAND_K = 26
const INTEGRAL_S = 180
/** Share of the power that no longer heats at the end of a climb from which the hold begins: calibrated with them. */
const PRELOAD = 0.33
/** Rates of climb are smoothed over this, s. */
const RATE_TAU_S = 60

interface PiState {
  readonly integral: number
  readonly setC: number
  readonly indicatedC: number | null
  readonly isClimbing: boolean
  /** Present and steepest rate since the set point last rose, K/s. */
  readonly rate: number
  readonly steepest: number
}

const AT_REST: PiState = {
  integral: 0,
  setC: Number.NEGATIVE_INFINITY,
  indicatedC: null,
  isClimbing: false,
  rate: 0,
  steepest: 0,
}

/**
 * Returns a clipped PI controller: the share of power, 0..1, that follows a set point. Its integral is held while clipped, so that a
 * long climb does not wind it up. It leaves the climb knowing something of the power that the hold will need: what no longer heats, 1 − rate/steepest.
 * Without that it would creep over the last degrees for minutes after a climb without a stop.
 */
export function clippedPi(from = AT_REST) {
  let state = from
  return {
    share(setC: number, indicatedC: number, dtS: number) {
      const { isClimbing, rate, steepest } = climb(state, setC, indicatedC, dtS)
      const proportional = (setC - indicatedC) / BAND_K
      const isArriving = isClimbing && steepest > 0 && proportional < 1
      const integral = isArriving ? Math.max(state.integral, PRELOAD * (1 - rate / steepest)) : state.integral
      const raw = proportional + integral
      const share = Math.min(1, Math.max(0, raw))
      const grown = raw === share ? integral + proportional * (dtS / INTEGRAL_S) : integral
      state = {
        integral: Math.min(1, Math.max(0, grown)),
        setC,
        indicatedC,
        isClimbing: isClimbing && !isArriving,
        rate,
        steepest,
      }
      return share
    },
    /** Another one that goes on from here. */
    clone: () => clippedPi(state),
  }
}

/** Follows how fast the display climbs since the set point last rose. */
function climb(state: PiState, setC: number, indicatedC: number, dtS: number) {
  const rose = setC > state.setC
  const before = rose ? { rate: 0, steepest: 0 } : state
  const isClimbing = rose || state.isClimbing
  if (state.indicatedC === null) return { isClimbing, rate: 0, steepest: 0 }
  const rate = before.rate + ((indicatedC - state.indicatedC) / dtS - before.rate) * (1 - Math.exp(-dtS / RATE_TAU_S))
  return { isClimbing, rate, steepest: Math.max(before.steepest, rate) }
}
export type PiControl = ReturnType<typeof clippedPi>

/** A programme followed by a PI controller: set point along it, and the share of power. */
export function followProgramme(segments: readonly ProgrammeSegment[], startC: number) {
  const log = segments.map(() => ({ reachedMin: null as number | null, endedMin: null as number | null }))
  const pi = clippedPi()
  let at = 0
  let setC = startC
  let fromC = startC
  let fromS = 0
  return {
    log,
    done: () => at >= segments.length,
    /** Step that runs, from 0, and what it is set to now. */
    state: () => ({ step: at, setC }),
    share: (indicatedC: number, dtS: number) => pi.share(setC, indicatedC, dtS),
    advance(indicatedC: number, timeS: number) {
      const segment = segments[at]
      const entry = log[at]
      if (!segment || !entry) return
      const rate = segment.rateCPerH === null ? null : Math.abs(segment.rateCPerH) / 3600
      const way = Math.sign(segment.targetC - fromC)
      setC =
        rate === null
          ? segment.targetC
          : fromC + way * Math.min(Math.abs(segment.targetC - fromC), rate * (timeS - fromS))
      const reached =
        setC === segment.targetC &&
        (way >= 0 ? indicatedC >= segment.targetC - REACHED_WITHIN_K : indicatedC <= segment.targetC + REACHED_WITHIN_K)
      if (reached) entry.reachedMin ??= timeS / 60
      if (entry.reachedMin !== null && timeS / 60 >= entry.reachedMin + segment.holdMin) {
        entry.endedMin = timeS / 60
        at++
        fromC = segment.targetC
        fromS = timeS
      }
    },
  }
}
