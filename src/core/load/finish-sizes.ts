import { type ProtectionName, SKIN_SHARE } from '../../data/protection'
import { type BatchBlade, timesHardened } from '../batch/tray'
import { decarburisedMm } from '../foil/protection'
import type { Blade } from '../shop/blade'
import { leakOf } from './packets'

/** A pivot hole against its gauge: to be honed, right, or too wide for its pin. mm. */
export type HoleFinding =
  | { readonly code: 'hone'; readonly byMm: number }
  | { readonly code: 'fits'; readonly overMm: number }
  | { readonly code: 'wide'; readonly byMm: number }

/** A hole may be so much wider than its pin's gauge, mm. Common practice, no published source. */
const FIT_MM = 0.02

/** How a hole stands to its gauge; null where one of them was not measured. */
export function holeOf({ holeAfterMm, gaugeMm }: NonNullable<Blade['sizes']>): HoleFinding | null {
  if (holeAfterMm === undefined || gaugeMm === undefined) return null
  const over = holeAfterMm - gaugeMm
  if (over < -1e-9) return { code: 'hone', byMm: -over }
  return over <= FIT_MM + 1e-9 ? { code: 'fits', overMm: over } : { code: 'wide', byMm: over - FIT_MM }
}

/** How a hole changed in the heat, mm: below nothing it shrank; null where it was not measured twice. */
export const holeChangeMm = ({ holeBeforeMm, holeAfterMm }: NonNullable<Blade['sizes']>): number | null =>
  holeBeforeMm === undefined || holeAfterMm === undefined ? null : holeAfterMm - holeBeforeMm

/** The skin that lost carbon, of which some may still be there, mm a side. */
export interface SkinFinding {
  readonly skinMm: number
  /** Skin still to be ground off, mm; 0: none; null: nobody noted how much was ground off. */
  readonly leftMm: number | null
}

/** Returns the stock ground off a blade against its decarburised skin. */
export function skinOf(blade: BatchBlade, protection: ProtectionName): SkinFinding {
  const { austenitizeC, soakMin } = blade.group.route
  const soaked = blade.record.soakedMin ?? soakMin
  // What leaked lay bare.
  const share = leakOf(blade.record) ? 1 : SKIN_SHARE[protection]
  const skinMm = decarburisedMm(austenitizeC, soaked) * share * timesHardened(blade)
  const ground = blade.record.sizes?.groundOffMm
  return { skinMm, leftMm: ground === undefined ? null : Math.max(0, skinMm - ground) }
}
