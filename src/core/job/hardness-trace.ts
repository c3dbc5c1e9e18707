import type { Stage } from '../shop/route'
import type { Prediction } from '../steel/predict'
import { predictedAt } from './stages'

/** Predicted and measured at one stage, and what is predicted from the last measured stage on. */
export interface StageHardness {
  readonly stage: Stage
  readonly predicted: number
  readonly measured: number | null
  /** From the last stage measured before it on: that value and the model's change; the prediction itself where none was. */
  readonly expected: number
}

/** Hardness stage by stage. What follows a measured stage starts from the measured value. */
export function hardnessTrace(
  prediction: Pick<Prediction, 'hrc'>,
  stages: readonly Stage[],
  measured: ReadonlyMap<Stage, number>,
): StageHardness[] {
  let offset = 0
  return stages.flatMap((stage): StageHardness[] => {
    const predicted = predictedAt(prediction, stage)
    if (predicted === null) return []
    const own = measured.get(stage) ?? null
    const row = { stage, predicted, measured: own, expected: predicted + offset }
    if (own !== null) offset = own - predicted
    return [row]
  })
}
