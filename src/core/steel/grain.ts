import { STEEL_MODEL } from '../../data/steel-model'
import type { Austenite } from './austenite'

/**
 * How far the grain is from running away in the soak: undissolved carbide that is left over what it takes to pin the
 * boundaries at this temperature. Below 1 the grain coarsens. Source: pinning after Zener, calibrated on common
 * practice (docs/method.md, 'Grain').
 */
export function grainPinning(a: Austenite, austenitizeC: number): number {
  const g = STEEL_MODEL.grain
  const pins = g.base + g.perChromium * a.Cr + a.carbideFraction + g.mcWeight * (a.mcFraction + a.m6cFraction)
  return pins / (g.need * Math.exp((austenitizeC - g.atC) / g.perC))
}
