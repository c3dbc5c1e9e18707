import type { BatchGroup } from '../../../core/shop/batch'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { Bench, CautionNote } from '../../../ui/Bench'
import { SelectField } from '../../../ui/PlainFields'
import { PredictedFigure } from '../../../ui/PredictedFigure'
import { useBench } from '../bench-context'
import { editGroup } from '../edit'
import { Tray } from './Tray'

type Answer = 'holds' | 'chips' | 'rolls'

/** What the edge did against a control: evidence for the verdict. */
export function ProveBench() {
  const { batch, shown, go } = useBench()
  const { group, prediction } = shown
  const set = (answer: Answer) =>
    editGroup(batch, group.id, `Edge ${answer}`, g => ({
      ...g,
      symptom: answer === 'holds' ? null : (answer as BatchGroup['symptom']),
    }))
  return (
    <Bench
      title="Prove"
      says="Test the edge beside a blade of known hardness, one angle at a time. Differences show from 20° down to 18° a side."
      drawing={<Tray groupId={group.id} />}
      figures={
        <>
          <PredictedFigure label="Predicted hardness" prediction={prediction} />
          <p className="mt-2 text-small">
            {group.symptom === 'chips' &&
              'A fine edge that chips is too hard for its shape: the verdict now aims 1 HRC lower.'}
            {group.symptom === 'rolls' &&
              'A fine edge that rolls is too soft for its shape: the verdict now aims 1 HRC higher.'}
            {group.symptom === null && 'The edge held: the verdict aims at the target itself.'}
          </p>
          <button type="button" className="btn btn-ember mt-3" onClick={() => go('verdict')}>
            To the verdict
          </button>
          <CautionNote>
            {CAUTIONS.prove} {DEFER}
          </CautionNote>
        </>
      }
      fields={
        <div className="max-w-60">
          <SelectField<Answer>
            label={`The edge of the ${group.gradeName} blades`}
            value={group.symptom ?? 'holds'}
            options={[
              ['holds', 'holds'],
              ['chips', 'chips'],
              ['rolls', 'rolls'],
            ]}
            onCommit={set}
          />
        </div>
      }
    />
  )
}
