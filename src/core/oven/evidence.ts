import type { ElementSides } from '../../data/ovens'

/** Readings over the chamber at one set point, in the style of a uniformity survey. */
export interface OvenSurvey {
  readonly id: string
  readonly kind: 'survey'
  readonly at: string
  readonly setC: number
  /** Display temperature at that time. */
  readonly indicatedC: number
  /** Uncertainty of the survey's own thermocouple, one standard deviation, K. */
  readonly sdK: number
  readonly points: readonly {
    readonly acrossMm: number
    readonly upMm: number
    readonly inMm: number
    readonly c: number
  }[]
}

/** One comparison of the display with a better thermometer at the same place. */
export interface SensorCheck {
  readonly id: string
  readonly kind: 'sensor'
  readonly at: string
  readonly trueC: number
  readonly indicatedC: number
  readonly sdK: number
}

/** Oven offset by the shop's hardness readings: the oven acts as if it were this much hotter than it shows. */
export interface HardnessEvidence {
  readonly id: string
  readonly kind: 'hardness'
  readonly at: string
  readonly atC: number
  readonly offsetK: number
  readonly sdK: number
  /** Readings it rests on. */
  readonly readings: number
}

/** Evidence of the difference between an oven's display and its blades. */
export type OvenEvidence = OvenSurvey | SensorCheck | HardnessEvidence

/** An oven as its correction is worked out: what was set by hand, and what was measured. */
export interface CorrectedOven {
  readonly correctionFrom: 'hand' | 'evidence'
  /** Correction added to the blade temperature to get what is keyed in, K. */
  readonly correctionC: number
  readonly evidence: readonly OvenEvidence[]
}

/** A chamber as a rack stands in it. */
export interface RackOven {
  readonly chamberMm: { readonly width: number; readonly depth: number }
  readonly elements: ElementSides
}
