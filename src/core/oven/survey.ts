import { mean, sampleVariance } from 'simple-statistics'
import type { OvenEvidence, OvenSurvey } from './evidence'

export interface Position {
  readonly acrossMm: number
  readonly upMm: number
  readonly inMm: number
}

/** Summary of a survey of the chamber. */
export interface SurveySummary {
  readonly meanC: number
  /** One sigma of the mean: the thermometer's own and the scatter over the chamber. */
  readonly meanSdK: number
  /** Hottest and coldest less the set point: what a uniformity class is judged by. */
  readonly hottestK: number
  readonly coldestK: number
  /** The tightest of the classes that holds, ± K; null beyond the widest. */
  readonly withinK: number | null
}

/** Classes of furnace uniformity, ± K: AMS 2750 classes 1 to 6, from memory. */
export const UNIFORMITY_CLASSES_K = [3, 6, 8, 10, 14, 28] as const

/** Returns the summary of a survey: mean, hottest and coldest from it, K, and the class of uniformity it keeps to; null beyond all. */
export function surveyOf(survey: OvenSurvey): SurveySummary {
  const values = survey.points.map(point => point.c)
  const n = values.length
  const meanC = mean(values)
  const variance = n > 1 ? sampleVariance(values) : 0
  const hottestK = Math.max(...values) - survey.setC
  const coldestK = Math.min(...values) - survey.setC
  const off = Math.max(Math.abs(hottestK), Math.abs(coldestK))
  return {
    meanC,
    meanSdK: Math.sqrt(survey.sdK ** 2 + variance / n),
    hottestK,
    coldestK,
    withinK: UNIFORMITY_CLASSES_K.find(limit => off <= limit) ?? null,
  }
}

/** Distance over which a reading speaks for its neighbourhood, mm. */
const REACH_MM = 60
/** Weight of the survey's mean against one reading: far from every reading the map is the mean. */
const MEAN_WEIGHT = 0.05

/**
 * Zone map: how much hotter than the survey's mean a place is, K; between readings by distance (Gaussian weights), far from
 * all of them nothing. Places are from the left wall, the floor and the door.
 */
export function zoneAt(survey: OvenSurvey, place: Position): number {
  const { meanC } = surveyOf(survey)
  let sum = 0
  let weights = MEAN_WEIGHT
  for (const point of survey.points) {
    const square =
      (point.acrossMm - place.acrossMm) ** 2 + (point.upMm - place.upMm) ** 2 + (point.inMm - place.inMm) ** 2
    const weight = Math.exp(-square / (2 * REACH_MM ** 2))
    sum += weight * (point.c - meanC)
    weights += weight
  }
  return sum / weights
}

/** The survey a zone map is drawn from: the newest. */
export const newestSurvey = (evidence: readonly OvenEvidence[]): OvenSurvey | null =>
  evidence
    .filter(item => item.kind === 'survey')
    .reduce<OvenSurvey | null>((best, item) => (best && best.at >= item.at ? best : item), null)
