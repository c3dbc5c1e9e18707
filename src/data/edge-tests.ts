/** Ways a shop proves an edge. Own ones go by the maker's words. Common practice, no published source. */
export const EDGE_TESTS = [
  'rope-cuts',
  'card-cuts',
  'soft-wire',
  'bone',
  'hardwood',
  'brass-rod',
  'drop',
  'paper-after',
  'salt-water',
  'own',
] as const
export type EdgeTestKind = (typeof EDGE_TESTS)[number]

/** Unit in which the amount of a test is counted. */
export const EDGE_TEST_UNITS: Readonly<Record<EdgeTestKind, 'strokes' | 'blows' | 'flexes' | 'hours'>> = {
  'rope-cuts': 'strokes',
  'card-cuts': 'strokes',
  'soft-wire': 'blows',
  bone: 'blows',
  hardwood: 'strokes',
  'brass-rod': 'flexes',
  drop: 'blows',
  'paper-after': 'strokes',
  'salt-water': 'hours',
  own: 'strokes',
}

/** Result of an edge test. */
export const EDGE_RESULTS = ['holds', 'rolls', 'chips'] as const
/** Result of a salt-water test. */
export const RUST_RESULTS = ['clean', 'stains', 'pits'] as const
export type EdgeResult = (typeof EDGE_RESULTS)[number]

/** Where along the edge. */
export const EDGE_PLACES = ['tip', 'belly', 'middle', 'heel'] as const

/**
 * Prior of a shop's edges before any test. The middle of where an edge holds lies about the target hardness
 * at; below and above it edges roll and chip, each along a logistic curve; a stouter edge bears more. Our own prior, wide on purpose.
 */
export const EDGE_PRIOR = {
  /** Standard deviation of the middle about the target, HRC. */
  middleSdHrc: 1.6,
  /** Least and most between the hardness where half roll and where half chip, HRC. */
  gapHrc: { least: 0.25, most: 3 },
  /** Widths that both curves may have, HRC, each as likely. */
  widthsHrc: [0.4, 1.6],
  /** HRC a degree a side more: least, most. */
  perDegree: { least: 0, most: 0.3 },
  /** Reference edge angle, degrees per side. */
  referenceDeg: 18,
} as const

/**
 * How blades of one batch scatter about what was aimed at, one standard deviation, HRC; and as they are read. Common practice, no
 * published source.
 */
export const BLADE_SCATTER_HRC = { itself: 0.4, asRead: 0.5 } as const
