import { ROCKWELL } from './rockwell'

/**
 * How a shop's own readings may correct a chart: standard deviations of each part of the correction, HRC, and the
 * distances over which it is shared. Source: common practice, no published source; the fit scales them together.
 */
export const LEARNING = {
  gradeSdHrc: 0.6,
  lotSdHrc: 0.4,
  ovenSdHrc: 0.5,
  routeSdHrc: 0.4,
  /** Unforeseeable scatter between batches, before the shop's own readings show it; its own spread as a factor's logarithm, and what is tried. */
  batchSdHrc: 0.35,
  batchSdSpread: 1.2,
  batchSdsTried: [0.1, 0.15, 0.22, 0.33, 0.5, 0.75, 1.1, 1.6],
  /** A tester's own unknown bias after its block check. */
  testerSdHrc: 0.25,
  /** Scatter of single readings. */
  readingSdHrc: ROCKWELL.scatter.sdHrc,
  scales: { austenitizeK: 30, coldK: 90, parameter: 1.2, ovenDays: 240 },
  /** The parts are scaled together by whichever of these foretells left-out batches best; 0 is the chart alone. */
  strengths: [0, 1, 2],
  /** A strength must beat the chart by this share of its error, or the chart stays. */
  leastGain: 0.02,
  /** Batches of a grade it takes to say that the chart foretells them better. */
  leastBatchesToJudge: 2,
  /** Readings further off than this come from another cause (a leak, a wrong steel) and teach nothing, HRC; unless so many batches say the same. */
  outlierHrc: 3,
  /** A learnt shift beyond this is said, with the question what is wrong, HRC. */
  strangeShiftHrc: 2.5,
  consistent: { batches: 4, share: 0.75, withinHrc: 1.5 },
  /** Newest observations kept: the fit grows with their cube. */
  most: 160,
} as const
