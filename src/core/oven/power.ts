import { AMBIENT_C, type ChamberModel, heatUpMin, hottestOf } from './chamber'

/** An oven's share of its power that holds a temperature: what it loses there, of what it loses at the hottest it comes to. */
const holdShare = (oven: ChamberModel, c: number): number =>
  Math.min(1, Math.max(0, (c - AMBIENT_C) / (hottestOf(oven) - AMBIENT_C)))

/**
 * Electricity of a stretch of an oven's way, kWh: full power where it climbs as fast as it goes, what it loses where it holds, both in
 * part where it climbs slower, none where it falls. By the wall model's tables; walls that still soak up heat are left out of a hold.
 */
export function stretchKWh(
  oven: ChamberModel & { readonly powerW: number },
  { fromC, toC, minutes }: { readonly fromC: number; readonly toC: number; readonly minutes: number },
): number {
  if (minutes <= 0 || toC < fromC) return 0
  const hold = holdShare(oven, (fromC + toC) / 2)
  const climb = Math.min(1, heatUpMin(oven, fromC, toC, 0) / minutes)
  const share = hold + (1 - hold) * (Number.isFinite(climb) ? climb : 1)
  return (share * oven.powerW * minutes) / 60_000
}
