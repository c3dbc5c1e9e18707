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
  /** Unforeseeable scatter between batches. */
  batchSdHrc: 0.35,
  /** A tester's own unknown bias after its block check. */
  testerSdHrc: 0.25,
  /** Scatter of single readings. */
  readingSdHrc: ROCKWELL.scatter.sdHrc,
  scales: { austenitizeK: 30, coldK: 90, parameter: 1.2, ovenDays: 240 },
  /** The parts are scaled together by whichever of these foretells left-out batches best; 0 is the chart alone. */
  strengths: [0, 0.25, 0.5, 1, 2],
  /** A strength must beat the chart by this share of its error, or the chart stays. */
  leastGain: 0.02,
  /** Batches of a grade it takes to say that the chart foretells them better. */
  leastBatchesToJudge: 2,
  /** Readings further off than this come from another cause (a leak, a wrong steel) and teach nothing, HRC. */
  outlierHrc: 3,
  /** Newest observations kept: the fit grows with their cube. */
  most: 160,
} as const
