import type { Prediction } from '../core/steel/predict'
import { bandText, hrcText } from '../words/speaker'
import { trustOf } from '../words/trust'
import { Figure } from './Bench'

interface Props {
  readonly label: string
  /** Null while it is worked out. */
  readonly prediction: Prediction | null | undefined
  readonly note?: string
}

/** A finished hardness as it is predicted: with its band, what it rests on, and the working. */
export const PredictedFigure = ({ label, prediction, note }: Props) => (
  <Figure
    label={label}
    term="hrc"
    value={prediction ? hrcText(prediction.finalHrc.mean) : '…'}
    unit={`HRC ${prediction ? bandText(prediction.finalHrc.sd) : ''}`}
    working={prediction?.working}
    trust={prediction ? trustOf(prediction) : undefined}
    note={note}
  />
)
