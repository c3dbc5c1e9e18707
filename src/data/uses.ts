import type { CorrosionClass } from './grades'

export const USE_NAMES = ['kitchen', 'fillet', 'outdoor', 'chopper', 'sea'] as const
export type UseName = (typeof USE_NAMES)[number]

/** Merits a steel is judged by in a use. */
export const MERITS = ['edge', 'corrosion', 'wear', 'toughness'] as const
export type Merit = (typeof MERITS)[number]
/** How much each matters, 0..1: a fine edge that does not break out, water, how long it cuts, rough use. */
export type UseWeights = Readonly<Record<Merit, number>>

/** Demands of a use on a blade. Common practice, no published source. */
export interface Use {
  readonly label: string
  /** Hardness that suits it at a middling edge, HRC. */
  readonly hrc: readonly [min: number, max: number]
  /** Edge angle it is usually ground at, degrees a side. */
  readonly edgeDeg: number
  readonly weight: UseWeights
  /** The least corrosion class that does. */
  readonly least: CorrosionClass
}

export const USES: Readonly<Record<UseName, Use>> = {
  kitchen: { label: 'Kitchen', hrc: [59, 61.5], edgeDeg: 14, weight: { edge: 0.9, corrosion: 0.6, wear: 0.5, toughness: 0.3 }, least: 'careful' },
  fillet: { label: 'Fillet', hrc: [57, 59.5], edgeDeg: 16, weight: { edge: 0.6, corrosion: 0.9, wear: 0.4, toughness: 0.6 }, least: 'kitchen' },
  outdoor: { label: 'Outdoor', hrc: [58, 60.5], edgeDeg: 19, weight: { edge: 0.4, corrosion: 0.5, wear: 0.5, toughness: 0.7 }, least: 'careful' },
  chopper: { label: 'Chopper', hrc: [56, 58.5], edgeDeg: 22, weight: { edge: 0.3, corrosion: 0.3, wear: 0.2, toughness: 1 }, least: 'rusts' },
  sea: { label: 'At sea', hrc: [56, 59], edgeDeg: 18, weight: { edge: 0.4, corrosion: 1, wear: 0.3, toughness: 0.5 }, least: 'sea' },
}

/** A thinner edge wants a tougher steel a little softer, a stouter one bears more, HRC a degree from the usual. */
export const HRC_PER_DEGREE = -0.15
