import type { Grade } from '../../data/grades'
import { type ProtectionName, SKIN_SHARE } from '../../data/protection'
import { decarburisedMm } from '../foil/protection'
import type { BatchGroup, Blade } from '../record/schemas'
import type { WorkingLine } from '../result'

/** Left at the edge of a pre-ground blade: thinner warps and burns. Common practice, no published source. */
export const EDGE_MM = 0.5
/** A tang this much thinner than the spine no longer lies between plates. Common practice, no published source. */
const TAPER_MM = 0.15

export interface Preparation {
  /** At the edge before hardening, mm. */
  readonly edgeMm: number
  /** Skin that may lose carbon where air gets at it: to be ground off after, mm a side. */
  readonly skinMm: number
  /** Shim to lay under the end of a tapered tang so that the plates close flat, mm; null where none is needed. */
  readonly shimMm: number | null
  readonly doubts: readonly { readonly code: string; readonly message: string }[]
  readonly working: readonly WorkingLine[]
}

/** What to leave on a blade before the heat, and how it will lie between the plates. */
export function preparationOf(blade: Blade, group: BatchGroup, protection: ProtectionName): Preparation {
  const { austenitizeC, soakMin } = group.route
  const bare = decarburisedMm(austenitizeC, soakMin)
  const share = SKIN_SHARE[protection]
  const skinMm = bare * share
  const edgeMm = blade.bevels === 'full' ? blade.thicknessMm : (blade.edgeMm ?? EDGE_MM)
  const taper = blade.thicknessMm - (blade.tangThicknessMm ?? blade.thicknessMm)
  const doubts = [
    ...(edgeMm < 2 * skinMm + 0.15
      ? [
          {
            code: 'thin-edge',
            message: `${blade.mark}: ${edgeMm} mm at the edge is little more than the skin that may lose carbon on both sides (${(2 * skinMm).toFixed(2)} mm).`,
          },
        ]
      : []),
    ...(blade.bevels === 'pre-ground' && edgeMm < 0.3
      ? [{ code: 'warp', message: `${blade.mark}: under 0.3 mm the edge waves in the quench.` }]
      : []),
  ]
  return {
    edgeMm,
    skinMm,
    shimMm: taper > TAPER_MM ? taper : null,
    doubts,
    working: [
      {
        name: 'Bare, it would lose carbon to',
        value: bare,
        unit: 'mm',
        equation: '√(Dt), D = D0·exp(−Q/RT)',
        source: 'diffusion of carbon in austenite, textbook, from memory',
      },
      {
        name: 'Share by protection',
        value: share,
        unit: '',
        equation: 'bare 1, gas in the oven 0.3, coat ¼, foil ⅒, foil and gas 0.05',
        source: 'common practice, no published source',
      },
      { name: 'Taper of the tang', value: taper, unit: 'mm', equation: 'spine − tang end', source: 'geometry' },
    ],
  }
}

/** Stress relief as a programme: up slowly, hold, air. */
export const stressReliefSteps = (grade: Grade) => [
  { what: 'Up to', atC: grade.stressRelief.atC, note: 'no faster than 300 °C an hour' },
  { what: 'Hold', atC: grade.stressRelief.atC, note: `${grade.stressRelief.holdMin} min once the blades are there` },
  { what: 'Cool', atC: 20, note: 'in still air, laid flat; then straighten and grind on' },
]
