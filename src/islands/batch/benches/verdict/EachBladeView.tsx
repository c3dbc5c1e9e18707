import { useMemo } from 'react'
import type { NeedGroup } from '../../../../core/advice/each-blade'
import { adviceCanOf } from '../../../../core/advice/shop-can'
import {
  addTemperAfter,
  isOwnTemper,
  type Judged,
  takeOutTemper,
  waitingTemper,
} from '../../../../core/batch/added-temper'
import type { Answered } from '../../../../core/contract/questions'
import type { Batch } from '../../../../core/shop/batch'
import { formatQuantity, formatTemperature } from '../../../../core/units/quantity'
import { editBatch } from '../../../../store/batches'
import { Problems } from '../../../../ui/Problems'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { toast } from '../../../../ui/toast'
import { useSay } from '../../../../ui/Units'
import { LEAKED_SKIN_MM, whyWords } from '../../../../words/advice'
import { marksOf } from '../../../../words/lists'
import { holdText, hrcText, percentText } from '../../../../words/speaker'
import { stageName } from '../../../../words/stages'
import { useAnswer } from '../../../../workers/use-answer'
import { useBench } from '../../bench-context'
import { KIND } from './kind-words'

/** Asks what each blade of the batch needs by its own evidence; undefined until it was judged once. */
export function useEachBlade(): Answered<'each-blade'> | undefined {
  const { batch, shop, readings } = useBench()
  return useAnswer(
    'each-blade',
    useMemo(
      () => ({
        batch,
        readings,
        tester: shop.tester,
        can: adviceCanOf(batch, shop),
        learning: shop.learning !== false,
      }),
      [batch, readings, shop],
    ),
  )
}

/** Each blade by its own readings and files; those that need the same make the next load. */
export function EachBladeView() {
  const { batch, shop, blades } = useBench()
  const say = useSay()
  const answer = useEachBlade()
  const marks = new Map(blades.map(blade => [blade.id, blade.mark]))
  const marksIn = (ids: readonly string[]) => marksOf(ids.flatMap(id => marks.get(id) ?? []))
  if (!answer) return <p className="py-6 text-ink-2">Judging each blade …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  const { needs, groups, unread } = answer.value
  const stages = new Map(needs.map(need => [need.bladeId, need.stage]))
  const judgedOf = (group: NeedGroup): Judged[] =>
    group.bladeIds.flatMap(bladeId => {
      const stage = stages.get(bladeId)
      return stage ? [{ bladeId, stage }] : []
    })
  const takeOut = (group: NeedGroup) =>
    void editBatch(batch, `Temper of ${marksIn(group.bladeIds)} taken out`, b => takeOutTemper(b, judgedOf(group)))
  const make = (group: NeedGroup) => {
    const { temper } = group
    if (!temper) return
    void editBatch(batch, `Temper ${marksIn(group.bladeIds)}`, b => addTemperAfter(b, judgedOf(group), temper)).then(
      () =>
        toast(
          `Temper at ${formatTemperature(temper.atC, shop.units)} for ${marksIn(group.bladeIds)}: see Temper and the next run.`,
        ),
    )
  }
  return (
    <div className="space-y-3">
      <ul>
        {groups.map(group => (
          <li
            key={group.bladeIds.join()}
            className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-2"
          >
            <div className="min-w-60 flex-1">
              <p className="text-lead">
                <strong>{marksIn(group.bladeIds)}</strong>: {KIND[group.kind].toLowerCase()}
                {group.temper &&
                  `, ${formatTemperature(group.temper.atC, shop.units)} for ${holdText(group.temper.holdMin)}`}
              </p>
              <p className="text-note text-ink-2">
                To {hrcText(group.fromHrc)}
                {group.toHrc - group.fromHrc > 0.05 ? ` to ${hrcText(group.toHrc)}` : ''} HRC; chance that it is within
                target at least {percentText(group.leastProbability)}.{' '}
                {group.bladeIds.length === 1 ? whyWords(group.first, say) : ''}
              </p>
            </div>
            {group.temper && group.kind === 'temper' && (
              <AddedOr
                batch={batch}
                judged={judgedOf(group)}
                onAdd={() => make(group)}
                onTakeOut={() => takeOut(group)}
              />
            )}
          </li>
        ))}
      </ul>
      {unread.length > 0 && <p className="text-small">Not measured yet: {marksIn(unread)}.</p>}
      <ScrollRegion label="Each blade" className="max-h-[240px] overflow-y-auto">
        <table className="sheet">
          <thead>
            <tr>
              <th>Blade</th>
              <th>Measured, HRC</th>
              <th>Action</th>
              <th>Expected after, HRC</th>
              <th>Chance within target</th>
            </tr>
          </thead>
          <tbody>
            {needs.map(need => (
              <tr key={need.bladeId}>
                <td className="font-semibold">{marks.get(need.bladeId)}</td>
                <td>
                  {hrcText(need.measured)} ± {hrcText(need.u95)}{' '}
                  <span className="text-ink-2">{stageName(need.stage)}</span>
                </td>
                <td>
                  {KIND[need.best.kind].toLowerCase()}
                  {need.best.temper && `, ${formatQuantity(need.best.temper.atC, 'temperature', shop.units)}`}
                  {need.grindFirst && (
                    <strong className="text-ember">
                      {' '}
                      · packet leaked: grind {say.length(LEAKED_SKIN_MM)} off and read again first
                    </strong>
                  )}
                  {need.readOn && <strong className="text-ember"> · take more readings first</strong>}
                </td>
                <td>{hrcText(need.best.hrc.mean)}</td>
                <td>{percentText(need.best.inTargetProbability)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollRegion>
    </div>
  )
}

/** A temper is added once: what waits for these blades is said instead, and can be taken out where it is theirs alone. */
function AddedOr({
  batch,
  judged,
  onAdd,
  onTakeOut,
}: {
  batch: Batch
  judged: readonly Judged[]
  onAdd: () => void
  onTakeOut: () => void
}) {
  const say = useSay()
  const waiting = waitingTemper(batch, judged)
  if (!waiting)
    return (
      <button type="button" className="btn btn-ember" onClick={onAdd}>
        Add this temper
      </button>
    )
  return (
    <span className="flex flex-wrap items-center gap-3">
      <span className="text-small">
        {say.t(waiting.atC)} for {holdText(waiting.holdMin)} waits at Temper.
      </span>
      {judged.every(one => isOwnTemper(batch, one)) && (
        <button type="button" className="btn" onClick={onTakeOut}>
          Take it out
        </button>
      )}
    </span>
  )
}
