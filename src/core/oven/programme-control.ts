/** A line of a programme: rate in °C/h, or null for as fast as the oven goes. */
export interface ProgrammeSegment {
  readonly rateCPerH: number | null
  readonly targetC: number
  readonly holdMin: number
}

/** How near its target a controller calls it reached, K. */
export const REACHED_WITHIN_K = 1
/** Proportional band and integral time of the stand-in controller: calibrated on the reference's minutes to 790 °C (docs/method.md). */
const BAND_K = 16
const INTEGRAL_S = 180

/** A clipped PI controller: the share of power, 0..1, that follows a set point. */
export function clippedPi(from = 0) {
  let integral = from
  return {
    share(setC: number, indicatedC: number, dtS: number) {
      const error = setC - indicatedC
      const raw = error / BAND_K + integral
      const share = Math.min(1, Math.max(0, raw))
      // Held while clipped, so that a long climb does not wind it up into an overshoot.
      if (raw === share) integral = Math.min(1, Math.max(0, integral + (error / BAND_K) * (dtS / INTEGRAL_S)))
      return share
    },
    /** Another one that goes on from here. */
    clone: () => clippedPi(integral),
  }
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
