import type { Grade } from '../../data/grades'
import { type ProtectionName, SKIN_SHARE } from '../../data/protection'
import { type Caution, caution } from '../codes/caution'
import { type WorkingLine, worked } from '../codes/working'
import { decarburisedMm } from '../foil/protection'
import { AMBIENT_C } from '../oven/chamber'
import type { BatchGroup } from '../shop/batch'
import type { Line } from '../shop/blade'
import { BOUNDS } from '../shop/bounds'

/** Left at the edge of a pre-ground blade: thinner warps and burns. Common practice, no published source. */
export const EDGE_MM = 0.5
/** A tang this much thinner than the spine no longer lies between plates. Common practice, no published source. */
const TAPER_MM = 0.15

/** Sound steel that should be left between the skins of an edge, mm. Common practice, no published source. */
const SOUND_MM = 0.15
/** An edge thinner than this waves in the quench, mm. Common practice, no published source. */
const WAVES_MM = 0.3

type PreparedBlade = Pick<Line, 'mark' | 'bevels' | 'edgeMm' | 'thicknessMm' | 'tangThicknessMm'>

export interface Preparation {
  /** At the edge before hardening, mm. */
  readonly edgeMm: number
  /** Skin that may lose carbon where air gets at it: to be ground off after, mm a side. */
  readonly skinMm: number
  /** Shim to lay under the end of a tapered tang so that the plates close flat, mm; null where none is needed. */
  readonly shimMm: number | null
  readonly doubts: readonly Caution[]
  readonly working: readonly WorkingLine[]
}

/** How thick a blade is at its edge before the heat, mm: as its spine where no bevel is ground. */
export const edgeOf = ({ bevels, edgeMm, thicknessMm }: Pick<Line, 'bevels' | 'edgeMm' | 'thicknessMm'>): number =>
  bevels === 'full' ? thicknessMm : Math.min(thicknessMm, edgeMm ?? EDGE_MM)

/**
 * Returns the allowance to leave on a blade before the heat, and how it lies between the plates. `hardened`: number of hardenings, this one
 * included: each heat takes carbon from a skin.
 */
export function preparationOf(
  blade: PreparedBlade,
  group: BatchGroup,
  protection: ProtectionName,
  hardened = 1,
): Preparation {
  const { austenitizeC, soakMin } = group.route
  const bare = decarburisedMm(austenitizeC, soakMin)
  const share = SKIN_SHARE[protection]
  const skinMm = bare * share * hardened
  const edgeMm = edgeOf(blade)
  const taper = blade.thicknessMm - (blade.tangThicknessMm ?? blade.thicknessMm)
  const { mark } = blade
  return {
    edgeMm,
    skinMm,
    shimMm: taper > TAPER_MM ? taper : null,
    doubts: [
      ...(edgeMm < 2 * skinMm + SOUND_MM ? [caution('thin-edge', { mark, edgeMm, skinMm })] : []),
      ...(blade.bevels === 'pre-ground' && edgeMm < WAVES_MM ? [caution('warp', { mark, leastMm: WAVES_MM })] : []),
    ],
    working: [
      worked('skin-bare', bare, 'mm', {}),
      worked('skin-share', share, '', {}),
      worked('tang-taper', taper, 'mm', {}),
    ],
  }
}

/** Slow enough not to warp, K/h; from there on in still air, °C. Common practice, no published source. */
const RELIEF_RATE_K_PER_H = 300

/** Stress relief as a programme: up slowly, hold, air. */
export const stressReliefOf = ({ stressRelief: { atC, holdMin } }: Grade) =>
  ({ atC, holdMin, rateKPerH: RELIEF_RATE_K_PER_H, toC: AMBIENT_C }) as const

/** Longest tang as a share of the blade's length. Common practice, no published source. */
const LONGEST_TANG_SHARE = 0.7

/** Returns the longest tang that a blade of a line may have, mm. */
export const longestTangMm = ({ lengthMm }: Pick<Line, 'lengthMm'>): number =>
  Math.min(BOUNDS.tangLengthMm.max, LONGEST_TANG_SHARE * lengthMm)
