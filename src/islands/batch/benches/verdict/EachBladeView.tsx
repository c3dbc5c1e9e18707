import { useMemo } from 'react'
import { toast } from 'sonner'
import { foilMarkLine } from '../../../../core/plan/words'
import { coldToC } from '../../../../core/record/defaults'
import type { Batch, Reading, Workshop } from '../../../../core/record/schemas'
import { stageLabel } from '../../../../core/rockwell/stages'
import { formatBoth, formatQuantity } from '../../../../core/units/quantity'
import { type NeedGroup, withPieceTemper } from '../../../../core/verdict/each-blade'
import { editBatch } from '../../../../store/batches'
import { Prose } from '../../../../ui/Units'
import { useAnswer } from '../../../../workers/use-answer'
import { hrcText, percentText } from '../bench-props'
import { KIND } from './kind-words'

interface Props {
  readonly batch: Batch
  readonly shop: Workshop
  readonly readings: readonly Reading[]
}

/** Each blade by its own readings and files; those that need the same make the next load. */
export function EachBladeView({ batch, shop, readings }: Props) {
  const request = useMemo(
    () => ({ batch, readings: [...readings], block: shop.block, can: { coldToC: coldToC(shop), anneal: true } }),
    [batch, readings, shop],
  )
  const answer = useAnswer('each-blade', request)
  if (!answer) return <p className="py-6 text-ink-2">Judging each blade …</p>
  if (!answer.ok) return <p className="py-6 text-bad">{answer.problems[0]?.message}</p>
  const { needs, groups, unread } = answer.value
  const make = (group: NeedGroup) => {
    const { temper } = group
    if (!temper) return
    void editBatch(batch, `Temper ${foilMarkLine(group.marks)}`, b => withPieceTemper(b, group.marks, temper)).then(
      () =>
        toast(
          `Temper at ${formatBoth(temper.atC, shop.units)} for ${foilMarkLine(group.marks)}: it stands at Temper and in the next run.`,
        ),
    )
  }
  return (
    <div className="space-y-3">
      <ul>
        {groups.map(group => (
          <li
            key={group.marks.join()}
            className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule py-2"
          >
            <div className="min-w-60 flex-1">
              <p className="text-[15px]">
                <strong>{foilMarkLine(group.marks)}</strong>: {KIND[group.kind].toLowerCase()}
                {group.temper && `, ${formatBoth(group.temper.atC, shop.units)} for ${group.temper.holdMin / 60} h`}
              </p>
              <p className="text-[12.5px] text-ink-2">
                To {hrcText(group.fromHrc)}
                {group.toHrc - group.fromHrc > 0.05 ? ` to ${hrcText(group.toHrc)}` : ''} HRC, in target at least{' '}
                {percentText(group.leastProbability)}. <Prose>{group.marks.length === 1 ? group.why : ''}</Prose>
              </p>
            </div>
            {group.temper && group.kind === 'temper' && (
              <button type="button" className="btn btn-ember" onClick={() => make(group)}>
                Make this the next load
              </button>
            )}
          </li>
        ))}
      </ul>
      {unread.length > 0 && <p className="text-[13px]">Not read yet: {foilMarkLine(unread)}.</p>}
      <div className="max-h-[240px] overflow-y-auto" role="region" aria-label="Each blade" tabIndex={0}>
        <table className="sheet">
          <thead>
            <tr>
              <th>Blade</th>
              <th>Reads</th>
              <th>Needs</th>
              <th>Comes to</th>
              <th>In target</th>
            </tr>
          </thead>
          <tbody>
            {needs.map(need => (
              <tr key={need.mark}>
                <td className="font-semibold">{need.mark}</td>
                <td>
                  {hrcText(need.measured)} ± {hrcText(need.u95)}{' '}
                  <span className="text-ink-2">{stageLabel(need.stage)}</span>
                </td>
                <td>
                  {KIND[need.best.kind].toLowerCase()}
                  {need.best.temper && `, ${formatQuantity(need.best.temper.atC, 'temperature', shop.units)}`}
                  {need.readOn && <strong className="text-ember"> · read it on first</strong>}
                </td>
                <td>{hrcText(need.best.hrc.mean)}</td>
                <td>{percentText(need.best.inTargetProbability)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  )
}
