/** Rockwell C geometry and limits. Sources named at each value; limits of the standards from memory. */
export const ROCKWELL = {
  /** ISO 6508-1: h = (100 − HRC)·0.002 mm. */
  depthPerPointMm: 0.002,
  fullScale: 100,
  /** Diamond cone, ISO 6508-2: 120° with a 0.2 mm spherical tip. */
  coneAngleDeg: 120,
  tipRadiusMm: 0.2,
  /** ISO 6508-1: at least 10 times the permanent depth for a diamond cone. */
  thicknessPerDepth: 10,
  /** ISO 6508-1: distance between centres at least 3 diameters, to an edge at least 2.5. */
  spacingPerDiameter: 3,
  edgePerDiameter: 2.5,
  /** ISO 6508-2, scale C: permissible error of the tester, HRC; from memory. */
  permissibleErrorHrc: 1.5,
  /** ISO 6508-2, scale C: permissible repeatability is 0.02·(100 − mean), at least 0.8 HRC; from memory. */
  repeatabilityShare: 0.02,
  repeatabilityMinHrc: 0.8,
  /** ASTM E18: the face square to the cone's axis within so much, degrees; from memory. */
  squareWithinDeg: 2,
  /** A dial is read to half a point. Common practice, no published source. */
  resolutionHrc: 0.5,
  /**
   * Scatter of single readings before any was seen, one sigma: common practice, no published source. How many degrees of freedom that
   * is worth was chosen so that 95 % holds over simulated shops (`readings.test.ts`); with what was read it never counts for more than
   * `mostDegrees`, for blades differ.
   */
  scatter: { sdHrc: 0.5, degreesOfFreedom: 5, mostDegrees: 12 },
  /** The same on a test block, which is flat and polished. */
  blockScatter: { sdHrc: 0.3, degreesOfFreedom: 4 },
  /** One sigma of a tester that no good check stands for. Common practice, no published source. */
  uncheckedTesterSdHrc: 0.5,
  /** A block further than this from the readings says nothing of the tester there. Common practice, no published source. */
  blockWithinHrc: 5,
  /** Nearer the mean than this no reading is called an outlier: two sigmas of one reading. */
  outlierAtLeastHrc: 1,
  /** A blade whose mean is this far from the middle of the others is judged alone. Common practice, no published source. */
  bladeApartHrc: 2,
  /** Plausible readings of hardened steel; outside it a typing error is likelier. */
  plausible: { min: 5, max: 70 },
  /** A reading further than this from the others of its blade is asked about. Common practice, no published source. */
  askBeyondHrc: 10,
  /** The same from what is predicted, where it is the only one: a quench that failed may read 25 too low. */
  askBeyondPredictedHrc: 30,
  source: 'ISO 6508-1, ISO 6508-2, ASTM E18; limits from memory',
} as const

/**
 * HRC added to readings on convex cylinders, a row for each reading from soft to hard, a column for each diameter (1/4 to 1 1/2 in).
 * Source: ASTM E18, table of corrections for the C, A and D scales; from memory.
 */
export const ROUND_FACE = {
  diametersMm: [6.35, 9.525, 12.7, 15.875, 19.05, 22.225, 25.4, 31.75, 38.1],
  readings: [20, 25, 30, 35, 40, 45, 50, 55, 60, 65],
  added: [
    [6.0, 4.5, 3.5, 2.5, 2.0, 1.5, 1.5, 1.0, 1.0],
    [5.5, 4.0, 3.0, 2.5, 2.0, 1.5, 1.0, 1.0, 1.0],
    [5.0, 3.5, 2.5, 2.0, 1.5, 1.5, 1.0, 1.0, 0.5],
    [4.0, 3.0, 2.0, 1.5, 1.5, 1.0, 1.0, 0.5, 0.5],
    [3.5, 2.5, 2.0, 1.5, 1.0, 1.0, 1.0, 0.5, 0.5],
    [3.0, 2.0, 1.5, 1.0, 1.0, 1.0, 0.5, 0.5, 0.5],
    [2.5, 2.0, 1.5, 1.0, 1.0, 0.5, 0.5, 0.5, 0.5],
    [2.0, 1.5, 1.0, 1.0, 0.5, 0.5, 0.5, 0.5, 0],
    [1.5, 1.0, 1.0, 0.5, 0.5, 0.5, 0.5, 0, 0],
    [1.5, 1.0, 1.0, 0.5, 0.5, 0.5, 0.5, 0, 0],
  ],
  /** A correction above this is not to be trusted, HRC. */
  mostAddedHrc: 3,
} as const
