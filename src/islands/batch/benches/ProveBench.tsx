import { useMemo, useState } from 'react'
import { stateOf } from '../../../core/batch/blade-state'
import { evidenceOf, type ProvedEdge, provedEdges } from '../../../core/logbook/edge-evidence'
import { middleOf } from '../../../core/rockwell/target'
import type { BatchGroup } from '../../../core/shop/batch'
import type { BladeState } from '../../../data/blade-states'
import { CAUTIONS, DEFER } from '../../../data/cautions'
import { BLADE_SCATTER_HRC, EDGE_RESULTS, type EdgeResult } from '../../../data/edge-tests'
import { useProved } from '../../../store/blade-hooks'
import { Bench, CautionNote } from '../../../ui/Bench'
import { EdgeMap } from '../../../ui/drawings/EdgeMap'
import { SelectField } from '../../../ui/PlainFields'
import { PredictedFigure } from '../../../ui/PredictedFigure'
import { Problems } from '../../../ui/Problems'
import { ViewChoice } from '../../../ui/ViewChoice'
import { bestWords, nextWords } from '../../../words/edge-tests'
import { useAnswer } from '../../../workers/use-answer'
import { useBench } from '../bench-context'
import { editGroup } from '../edit'
import { DrawnOrder } from './prove/DrawnOrder'
import { EdgeResults } from './prove/EdgeResults'
import { EdgeTestForm } from './prove/EdgeTestForm'
import { NextTry } from './prove/NextTry'

const VIEWS = [
  ['results', 'Results'],
  ['map', 'Where it holds'],
  ['order', 'Random order'],
] as const

/** Usual edge of this shop's blades, degrees a side, until one was tested. */
const USUAL_DEG = 18

const NOT_AT_HAND: readonly BladeState[] = ['lost', 'sold']

const NOTHING = { batches: [], readings: [] }

/** Bench of edge tests: results beside a control, the hardness that holds at each angle, and what to try next. */
export function ProveBench() {
  const { batch, shop, shown, blades } = useBench()
  const { group, prediction } = shown
  // A lost or sold blade is not at hand; a scrapped one may still be tested.
  const own = blades.filter(blade => blade.group.id === group.id && !NOT_AT_HAND.includes(stateOf(blade.record)))
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('results')
  const [order, setOrder] = useState<readonly string[] | null>(null)
  const [typedDeg, setTypedDeg] = useState<number | null>(null)
  const read = useProved()
  const stored = read ?? NOTHING
  const proved = useMemo(
    () => provedEdges(stored.batches, group.gradeId, { readings: stored.readings, tester: shop.tester }),
    [stored, group.gradeId, shop.tester],
  )
  const edgeDeg = typedDeg ?? proved.at(-1)?.test.edgeDeg ?? USUAL_DEG
  const targetHrc = middleOf(group.target)
  const belief = useAnswer(
    'edge-belief',
    useMemo(
      () => ({ targetHrc, edgeDeg, scatterHrc: BLADE_SCATTER_HRC.itself, evidence: evidenceOf(proved, null) }),
      [targetHrc, edgeDeg, proved],
    ),
  )
  return (
    <Bench
      title="Prove"
      says="Test every edge the same way, beside a blade of known hardness. Differences show from 20° down to 18° a side."
      views={<ViewChoice views={VIEWS} view={view} onView={setView} />}
      drawing={
        view === 'order' ? (
          <DrawnOrder blades={own} order={order} onOrder={setOrder} />
        ) : read === undefined || (view === 'map' && belief === undefined) ? (
          <p className="py-6 text-ink-2">Reading the edges tested …</p>
        ) : view === 'map' ? (
          belief?.ok && (
            <EdgeMap
              points={pointsOf(proved)}
              band={belief.value.band}
              next={{ hrc: belief.value.next.hrc, edgeDeg }}
            />
          )
        ) : (
          <EdgeResults proved={proved} />
        )
      }
      figures={
        <>
          <PredictedFigure label="Predicted hardness" prediction={prediction} />
          {belief?.ok && (
            <>
              <p className="mt-2 text-small">{bestWords(belief.value, edgeDeg)}</p>
              <p className="mt-2 text-small">{nextWords(belief.value)}</p>
              <NextTry batch={batch} group={group} hrc={belief.value.next.hrc} tests={belief.value.tests} />
            </>
          )}
          {belief && !belief.ok && <Problems of={belief.problems} />}
          <Concluded group={group} proved={proved.filter(one => one.batchId === batch.id)} />
          <CautionNote>
            {CAUTIONS.prove} {DEFER}
          </CautionNote>
        </>
      }
      fields={own.length > 0 && <EdgeTestForm blades={own} edgeDeg={edgeDeg} onEdgeDeg={setTypedDeg} order={order} />}
    />
  )
}

const pointsOf = (proved: readonly ProvedEdge[]) =>
  proved.flatMap(({ test, blade, hardness }) =>
    hardness && isEdge(test.result)
      ? [{ id: test.id, hrc: hardness.hrc, edgeDeg: test.edgeDeg, result: test.result, label: blade.mark }]
      : [],
  )

const isEdge = (result: string): result is EdgeResult => (EDGE_RESULTS as readonly string[]).includes(result)

/** Records the maker's conclusion on the edges of this batch, for the verdict. */
function Concluded({ group, proved }: { group: BatchGroup; proved: readonly ProvedEdge[] }) {
  const { batch, go } = useBench()
  const set = (answer: EdgeResult) =>
    void editGroup(batch, group.id, `Edge ${answer}`, g => ({ ...g, symptom: answer === 'holds' ? null : answer }))
  const bad = (result: EdgeResult) => proved.filter(one => one.test.result === result).length
  return (
    <div className="mt-3 flex flex-wrap items-end gap-3 border-t border-rule pt-3">
      <SelectField<EdgeResult>
        label={`What you conclude of the ${group.gradeName} edges`}
        value={group.symptom ?? 'holds'}
        options={[
          ['holds', 'they hold'],
          ['chips', `they chip${bad('chips') > 0 ? ` (${bad('chips')} did)` : ''}`],
          ['rolls', `they roll${bad('rolls') > 0 ? ` (${bad('rolls')} did)` : ''}`],
        ]}
        onCommit={set}
      />
      <button type="button" className="btn" onClick={() => go('verdict')}>
        To the verdict
      </button>
    </div>
  )
}
