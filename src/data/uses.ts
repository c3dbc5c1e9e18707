import type { CorrosionClass } from './grades'

export const USE_NAMES = ['kitchen', 'fillet', 'outdoor', 'chopper', 'sea'] as const
export type UseName = (typeof USE_NAMES)[number]

/** What a use asks of a blade. Common practice, no published source. */
export interface Use {
  readonly label: string
  /** Hardness that suits it at a middling edge, HRC. */
  readonly hrc: readonly [min: number, max: number]
  /** Edge angle it is usually ground at, degrees a side. */
  readonly edgeDeg: number
  /** How much each matters, 0..1. */
  readonly weight: { readonly corrosion: number; readonly toughness: number; readonly edge: number }
  /** The least corrosion class that does. */
  readonly least: CorrosionClass
}

export const USES: Readonly<Record<UseName, Use>> = {
  kitchen: { label: 'Kitchen', hrc: [59, 61.5], edgeDeg: 14, weight: { corrosion: 0.6, toughness: 0.3, edge: 0.9 }, least: 'careful' },
  fillet: { label: 'Fillet', hrc: [57, 59.5], edgeDeg: 16, weight: { corrosion: 0.9, toughness: 0.6, edge: 0.5 }, least: 'kitchen' },
  outdoor: { label: 'Outdoor', hrc: [58, 60.5], edgeDeg: 19, weight: { corrosion: 0.5, toughness: 0.7, edge: 0.6 }, least: 'careful' },
  chopper: { label: 'Chopper', hrc: [56, 58.5], edgeDeg: 22, weight: { corrosion: 0.3, toughness: 1, edge: 0.3 }, least: 'rusts' },
  sea: { label: 'At sea', hrc: [56, 59], edgeDeg: 18, weight: { corrosion: 1, toughness: 0.5, edge: 0.4 }, least: 'sea' },
}

/** A thinner edge wants a tougher steel a little softer, a stouter one bears more, HRC a degree from the usual. */
export const HRC_PER_DEGREE = -0.15
