import type { RampKind } from '../../data/ovens'
import { fail, ok, type Result } from '../codes/result'
import type { Purpose, Segment } from './programme'

/** One step as this controller takes it: the very digits. */
export interface KeyedStep {
  readonly step: number
  readonly purpose: Purpose
  /** It carries on a hold longer than the controller takes in one step. */
  readonly heldOn: boolean
  /** Rate, or minutes to the target, or the key for full power. */
  readonly ramp: string
  /** Whole degrees of the controller's own scale. */
  readonly set: number
  readonly holdMin: number
  readonly nominalC: number
  /** The same before it was rounded to the controller's degrees, °C. */
  readonly setC: number
}

/** A controller as programmes are keyed into it. */
export interface ControllerSettings {
  /** Steps one programme holds. */
  readonly steps: number
  readonly ramp: RampKind
  readonly degrees: 'C' | 'F'
  readonly longestHoldMin: number
  /** Key sequence for full power where a rate or a time is asked for. */
  readonly fullPower: string
}

const fahrenheit = (c: number) => c * 1.8 + 32

/**
 * A programme in this controller's own terms: its scale, its way of giving a ramp, holds no longer than it takes (a longer one
 * is carried on in a step of its own). Errors: 'too-many-steps'.
 */
export function keyIn(segments: readonly Segment[], controller: ControllerSettings, startC = 20): Result<KeyedStep[]> {
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
      purpose: segment.purpose,
      set: shown(segment.setC),
      setC: segment.setC,
      nominalC: segment.nominalC,
    }
    steps.push({ ...base, heldOn: false, ramp: rampOf(segment.rateCPerH, at, segment.setC), holdMin: first })
    for (left -= first; left > 0; left -= longestHoldMin)
      steps.push({
        ...base,
        heldOn: true,
        ramp: fullPower,
        holdMin: Math.min(left, longestHoldMin),
      })
    at = segment.setC
  }
  if (steps.length > controller.steps)
    return fail('too-many-steps', { takes: steps.length, holds: controller.steps }, 'controller.steps')
  return ok(steps.map((step, i) => ({ ...step, step: i + 1 })))
}
