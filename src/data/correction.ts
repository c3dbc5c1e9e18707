/** Prior of an oven's display before anything is measured, and how fast evidence ages. */
export const CORRECTION = {
  /** Display at the blades against the truth near 1000 °C, one standard deviation, K: thermocouple tolerance (0.4 %, IEC 60584-1 class 1, from memory) and where it sits. */
  priorSdK: 10,
  /** How that changes over 400 K, one standard deviation, K. */
  priorSlopeSdK: 8,
  referenceC: 1000,
  slopeOverK: 400,
  /** A display drifts: what a year adds to the uncertainty of a measurement, one standard deviation, K. Common practice, no published source. */
  driftSdKPerYear: 6,
  /** Less does not make an oven wait, K: it moves a finished hardness by a few tenths. Common practice, no published source. */
  leastToHoldUpK: 6,
  /** Beyond this the thermocouple, not the number, is at fault, K. */
  mostK: 60,
  /** From here on it is more than drift, and the thermocouple is checked, K. Common practice, no published source. */
  warnK: 30,
} as const
