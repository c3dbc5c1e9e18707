import { useState } from 'react'
import { standing } from '../../../../core/batch/blade-state'
import { MOST_HARDENED, markedSentBack, needingIt, sentBack } from '../../../../core/batch/re-harden'
import { timesHardened } from '../../../../core/batch/tray'
import type { Hardness } from '../../../../core/hardness/hardness'
import type { BatchGroup } from '../../../../core/shop/batch'
import { LONGEST } from '../../../../core/shop/bounds'
import { gradeOf } from '../../../../core/steel/grades'
import { addBatch, editBatch } from '../../../../store/batches'
import { Warnings } from '../../../../ui/Bench'
import { useSay } from '../../../../ui/Units'
import { annealWords, hardenedAgainWords, measuredWords, sendBackWords } from '../../../../words/re-harden'
import { SheetDialog } from '../../../SheetDialog'
import { useBench } from '../../bench-context'
import { newId, sayProblems } from '../../edit'
import { useEachBlade } from './EachBladeView'
import { type Option, takeOption } from './take-option'

interface Props {
  readonly option: Option
  readonly group: BatchGroup
  readonly hardness: Hardness
  readonly onClose: () => void
}

/** Which blades are annealed and hardened again, how, and the batch they go to. */
export function SendBack({ option, group, hardness, onClose }: Props) {
  const { batch, shop, blades } = useBench()
  const say = useSay()
  const own = standing(blades.filter(blade => blade.group.id === group.id))
  const judged = useEachBlade()
  const needs = judged?.ok ? judged.value.needs : []
  const [picked, setPicked] = useState<ReadonlySet<string> | null>(null)
  const chosen =
    picked ??
    new Set(
      needingIt(
        own.map(blade => blade.id),
        needs,
        group.target,
      ),
    )
  const [why, setWhy] = useState(group.symptom === null ? '' : `the edge ${group.symptom}`)
  const grade = gradeOf(group)
  const often = own.filter(blade => chosen.has(blade.id) && timesHardened(blade) >= MOST_HARDENED)
  const tick = (id: string, on: boolean) =>
    setPicked(new Set(on ? [...chosen, id] : [...chosen].filter(other => other !== id)))
  const send = async () => {
    const route = { ...group.route, ...option.again }
    const back = { why: why.trim(), nowIso: new Date().toISOString() }
    const { to } = sentBack(batch, group, [...chosen], {
      ...back,
      route,
      newId,
      name: `${batch.name}, hardened again`.slice(0, LONGEST.batchName),
    })
    const { saved, problems } = await addBatch(to)
    if (!saved) return sayProblems(problems, shop.units)
    await takeOption({ batch, group, option, hardness })
    const marked = await editBatch(batch, `${chosen.size} blades sent back`, now =>
      markedSentBack(now, [...chosen], back),
    )
    if (!marked.saved) return sayProblems(marked.problems, shop.units)
    location.href = `/batch/${to.id}/prepare`
  }
  return (
    <SheetDialog title="Anneal and harden again" open onOpen={open => !open && onClose()}>
      <p className="my-3">{sendBackWords(chosen.size)}</p>
      <fieldset className="flex flex-wrap gap-x-5">
        <legend className="text-note text-ink-2">Blades</legend>
        {own.map(blade => (
          <label key={blade.id} className="flex min-h-touch items-center gap-2">
            <input
              type="checkbox"
              className="h-5 w-5"
              checked={chosen.has(blade.id)}
              onChange={event => tick(blade.id, event.target.checked)}
            />
            {blade.mark}
            <span className="text-ink-2">{measuredWords(needs.find(need => need.bladeId === blade.id)?.measured)}</span>
          </label>
        ))}
      </fieldset>
      {grade && (
        <p className="my-3 text-small">
          <strong>{group.gradeName}</strong> {annealWords(grade.anneal, shop, say)}
        </p>
      )}
      <Warnings
        lines={
          often.length > 0
            ? [{ code: 'hardened-often', message: hardenedAgainWords(often.map(blade => blade.mark)) }]
            : []
        }
      />
      <label className="grid gap-1 text-small">
        Why
        <input className="field" maxLength={LONGEST.why} value={why} onChange={event => setWhy(event.target.value)} />
      </label>
      <div className="mt-4 flex justify-end gap-2">
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-ember" disabled={chosen.size === 0} onClick={() => void send()}>
          Begin their batch
        </button>
      </div>
    </SheetDialog>
  )
}
