/** Prior of a fit factor before the log is read, one standard deviation of its logarithm. Common practice, no published source. */
export const FIT_PRIOR_SD = { wallK: 0.25, wallC: 0.2, mass: 0.4, leak: 0.6, power: 0.04 } as const

export const FIT_FACTORS = ['wallK', 'wallC', 'mass', 'leak', 'power'] as const
export type FitFactor = (typeof FIT_FACTORS)[number]

export const OVEN_FIT = {
  /** Errors beyond this count in proportion, not squared, K. */
  robustK: 3,
  /** One sample of this many minutes is compared. */
  everyMin: 1,
  /** Neighbouring samples err alike: one in so many counts as its own. */
  alike: 20,
  /** A factor known to half of what was thought before, or better, was identified. */
  identifiedBelow: 0.5,
  stepS: 20,
  /** Steps of the held and cooling legs once they are smooth, s; the change of leg is stepped finely for so long, min. */
  smoothStepS: 60,
  fineForMin: 6,
  /** Of a log no more than this is looked at, h, and of its cooling, h: later nothing new is seen. */
  longestH: 14,
  coolingH: 4,
  /** A start that leaves no more than this, K, is good enough: no further one is tried. */
  goodK: 3,
  iterations: 14,
  /** Starts of the search, as a factor on wall and mass. */
  starts: [1, 0.8, 1.25],
} as const
