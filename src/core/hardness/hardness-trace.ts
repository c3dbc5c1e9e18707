import { predictedAt } from '../batch/hardness-stages'
import type { Stage } from '../shop/route'
import type { Prediction } from '../steel/predict'

/** Predicted and measured at one stage, and what is predicted from the last measured stage on. */
export interface StageHardness {
  readonly stage: Stage
  readonly predicted: number
  readonly measured: number | null
  /** From the last stage measured before it on: that value and the model's change; the prediction itself where none was. */
  readonly expected: number
}

/**
 * Hardness stage by stage. What follows a measured stage starts from the measured value and takes the model's change from there, as
 * the verdict does: `model` is the prediction without what the shop's readings add, which the measured value has in it already.
 */
export function hardnessTrace(
  prediction: Pick<Prediction, 'hrc'>,
  model: Pick<Prediction, 'hrc'>,
  stages: readonly Stage[],
  measured: ReadonlyMap<Stage, number>,
): StageHardness[] {
  let from: { readonly stage: Stage; readonly hrc: number } | null = null
  return stages.flatMap((stage): StageHardness[] => {
    const predicted = predictedAt(prediction, stage)
    if (predicted === null) return []
    const own = measured.get(stage) ?? null
    const row = { stage, predicted, measured: own, expected: from ? carriedOn(model, from, stage) : predicted }
    if (own !== null) from = { stage, hrc: own }
    return [row]
  })
}

/** Returns the expected hardness at a later stage of a blade measured at an earlier one, HRC. */
export const carriedOn = (
  model: Pick<Prediction, 'hrc'>,
  from: { readonly stage: Stage; readonly hrc: number },
  to: Stage,
): number => from.hrc + (predictedAt(model, to) ?? from.hrc) - (predictedAt(model, from.stage) ?? from.hrc)
