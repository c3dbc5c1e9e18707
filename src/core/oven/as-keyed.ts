import type { OvenControllerSettings } from '../record/oven-schema'
import { fail, ok, type Result } from '../result'
import type { Segment } from './programme'

/** One step as this controller takes it: the very digits. */
export interface KeyedStep {
  readonly step: number
  readonly name: string
  /** Rate, or minutes to the target, or the key for full power. */
  readonly ramp: string
  /** Whole degrees of the controller's own scale. */
  readonly set: number
  readonly holdMin: number
  readonly nominalC: number
  /** The same before it was rounded to the controller's degrees, °C. */
  readonly setC: number
}

const fahrenheit = (c: number) => c * 1.8 + 32

/** What the ramp column is called on this kind of controller. */
export const rampHeading = ({ ramp, degrees }: Pick<OvenControllerSettings, 'ramp' | 'degrees'>): string =>
  ({
    'per-hour': `Rate, °${degrees}/h`,
    'per-minute': `Rate, °${degrees}/min`,
    'minutes-to-target': 'Minutes to get there',
  })[ramp]

/**
 * A programme in this controller's own terms: its scale, its way of giving a ramp, holds no longer than it takes (a longer one
 * is carried on in a step of its own). Errors: 'too-many-steps'.
 */
export function keyIn(
  segments: readonly Segment[],
  controller: OvenControllerSettings,
  startC = 20,
): Result<KeyedStep[]> {
  const { degrees, ramp, fullPower, longestHoldMin } = controller
  const shown = (c: number) => Math.round(degrees === 'C' ? c : fahrenheit(c))
  const perHour = (rateC: number) => (degrees === 'C' ? rateC : rateC * 1.8)
  const rampOf = (rateC: number | null, fromC: number, toC: number): string => {
    if (rateC === null) return fullPower
    if (ramp === 'per-hour') return String(Math.max(1, Math.round(perHour(rateC))))
    if (ramp === 'per-minute') return String(Math.max(0.1, Math.round(perHour(rateC) / 6) / 10))
    return String(Math.max(1, Math.round((Math.abs(toC - fromC) / rateC) * 60)))
  }
  const steps: Omit<KeyedStep, 'step'>[] = []
  let at = startC
  for (const segment of segments) {
    let left = Math.round(segment.holdMin)
    const first = Math.min(left, longestHoldMin)
    const base = {
      name: segment.name,
      set: shown(segment.setC),
      setC: segment.setC,
      nominalC: segment.nominalC,
    }
    steps.push({ ...base, ramp: rampOf(segment.rateCPerH, at, segment.setC), holdMin: first })
    for (left -= first; left > 0; left -= longestHoldMin)
      steps.push({
        ...base,
        name: `${segment.name}, held on`,
        ramp: fullPower,
        holdMin: Math.min(left, longestHoldMin),
      })
    at = segment.setC
  }
  if (steps.length > controller.steps)
    return fail(
      'too-many-steps',
      `This takes ${steps.length} steps and the controller holds ${controller.steps}. Leave out a preheat, or key it in two programmes.`,
      'controller.steps',
    )
  return ok(steps.map((step, i) => ({ ...step, step: i + 1 })))
}
