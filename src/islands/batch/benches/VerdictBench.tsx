import { toast } from 'sonner'
import { packetOf } from '../../../core/plan/packets'
import { coldToC } from '../../../core/record/defaults'
import type { LocalAnswer } from '../../../core/record/questions/local'
import type { Batch, Reading } from '../../../core/record/schemas'
import { partApart } from '../../../core/rockwell/apart'
import { summariseReadings } from '../../../core/rockwell/readings'
import { latestStage, predictedAt, routeUpTo, stageLabel } from '../../../core/rockwell/stages'
import { formatBoth } from '../../../core/units/quantity'
import { useReadings } from '../../../store/hooks'
import { Bench, Figure, Warnings } from '../../../ui/Bench'
import { format } from '../../../ui/dates'
import { VerdictDrawing } from '../../../ui/drawings/VerdictDrawing'
import { useAnswer } from '../../../workers/use-answer'
import { editGroup } from '../edit'
import { type BenchProps, hrcText, percentText } from './bench-props'

type Option = LocalAnswer<'advise'>['options'][number]

const KIND: Readonly<Record<Option['kind'], string>> = {
  accept: 'Accept',
  temper: 'Temper again',
  cold: 'Cold again',
  'anneal-and-reharden': 'Anneal and begin again',
  scrap: 'Scrap',
}

/** A reading this far from its prediction, in its own sigmas, asks for a cause. */
const ASTRAY_SIGMA = 2.5

/** What to do after the latest readings, best first, each with its reason. */
export function VerdictBench({ batch, plan, shop, go }: BenchProps) {
  const { group, prediction } = plan
  const readings = (useReadings(batch.id) ?? []).filter(r => r.groupId === group.id)
  const stage = latestStage(group.route, readings)
  const { together: own, apart } = partApart(readings.filter(r => r.stage === stage))
  const summary =
    own.length > 0
      ? summariseReadings(
          own.map(r => r.hrc),
          shop.block,
          group.target,
        )
      : null
  const advice = useAnswer(
    'advise',
    summary && stage
      ? {
          steel: plan.steel,
          route: routeUpTo(group.route, stage),
          reading: { mean: summary.corrected, u95: Math.min(20, summary.u95), stage },
          target: group.target,
          symptom: group.symptom,
          can: { coldToC: coldToC(shop), anneal: true },
        }
      : null,
  )
  if (!summary || !stage)
    return (
      <section aria-label="Verdict" className="p-6">
        <h2 className="text-[21px]">Verdict</h2>
        <p className="my-3">A verdict needs a reading. Three on one blade are enough to begin.</p>
        <button type="button" className="btn btn-ember" onClick={() => go('measure')}>
          Enter readings
        </button>
      </section>
    )
  const predicted = predictedAt(prediction, stage)
  const off = predicted === null ? 0 : summary.corrected - predicted
  const astray = Math.abs(off) > ASTRAY_SIGMA * Math.hypot(prediction.finalHrc.sd, summary.standardUncertainty)
  const take = (option: Option) =>
    void takeOption({ batch, plan, option, stage }).then(() =>
      toast(`${KIND[option.kind]}: written into the route, with its reason.`),
    )
  return (
    <Bench
      title="Verdict"
      says={`From ${summary.n} readings ${stageLabel(stage)}. The model supplies only the change from here.`}
      drawing={
        <>
          <VerdictDrawing
            target={group.target}
            measured={{ mean: summary.corrected, half: summary.u95 }}
            options={
              advice?.ok
                ? advice.value.options
                    .slice(0, 3)
                    .map(o => ({ label: KIND[o.kind], mean: o.hrc.mean, half: 1.96 * o.hrc.sd }))
                : []
            }
          />
          {advice?.ok && <Options options={advice.value.options} onTake={take} system={shop.units} />}
          {advice && !advice.ok && <Warnings lines={advice.problems} />}
        </>
      }
      figures={
        <>
          <Figure
            label={`Measured ${stageLabel(stage)}`}
            value={hrcText(summary.corrected)}
            unit={`HRC ± ${hrcText(summary.u95)}`}
            working={summary.working}
          />
          <Figure
            label="Chance it is in target now"
            value={percentText(summary.inTargetProbability ?? 0)}
            unit={`${group.target.min} to ${group.target.max}`}
            working={summary.working}
          />
          <Figure
            label="Against the prediction"
            value={`${off >= 0 ? '+' : '−'}${hrcText(Math.abs(off))}`}
            unit={`HRC of ${predicted === null ? '—' : hrcText(predicted)}`}
            working={prediction.working}
          />
          {astray && (
            <Warnings
              lines={[
                {
                  code: 'astray',
                  message:
                    off < 0
                      ? 'Far below the prediction. Under-soaked, a leaking packet, a slow quench, too much austenite, another steel or the tester: check the block first, then file the spine.'
                      : 'Far above the prediction. Check the tester on its block, then the steel’s own certificate.',
                },
              ]}
            />
          )}
          <Warnings lines={apart.map(blade => ({ code: blade.piece, message: apartWords(batch, blade) }))} />
          {group.symptom && <p className="my-2 text-[13px]">The edge {group.symptom}: the aim is moved by 1 HRC.</p>}
          <Decisions decisions={group.decisions} />
        </>
      }
    />
  )
}

function Options({
  options,
  onTake,
  system,
}: {
  options: readonly Option[]
  onTake: (option: Option) => void
  system: BenchProps['shop']['units']
}) {
  return (
    <ol className="mt-2">
      {options.map((option, i) => (
        <li
          key={option.kind}
          className="grid gap-x-4 gap-y-1 border-t border-rule py-2 sm:grid-cols-[minmax(0,1fr)_auto]"
        >
          <div className="min-w-0">
            <h3 className={i === 0 ? 'text-[16px]' : 'text-[14px]'}>
              {KIND[option.kind]}
              {option.temper && `, ${formatBoth(option.temper.atC, system)} for 2 h`}
            </h3>
            <p className="text-[13px]">{option.why}</p>
            <p className="text-[12.5px] text-ink-2">
              {option.kind === 'scrap'
                ? ''
                : `Should read ${hrcText(option.hrc.mean)} ± ${hrcText(1.96 * option.hrc.sd)} HRC; in target ${percentText(option.inTargetProbability)}; ${option.hours} h; risk ${option.risk}.`}
            </p>
          </div>
          <button
            type="button"
            className={`btn self-start ${i === 0 ? 'btn-ember' : ''}`}
            onClick={() => onTake(option)}
          >
            {option.kind === 'temper' || option.kind === 'cold' ? 'Write it in' : 'Decide this'}
          </button>
        </li>
      ))}
    </ol>
  )
}

function Decisions({ decisions }: { decisions: BenchProps['plan']['group']['decisions'] }) {
  if (decisions.length === 0) return null
  return (
    <div className="mt-3 border-t border-rule pt-2">
      <h3 className="text-[13px]">Decided</h3>
      <ul className="text-[13px]">
        {[...decisions]
          .reverse()
          .slice(0, 4)
          .map(d => (
            <li key={d.at} className="border-b border-rule py-1.5">
              <span className="text-ink-2">{format(d.at)}</span> {d.what}. <span className="text-ink-2">{d.why}</span>
            </li>
          ))}
      </ul>
    </div>
  )
}

/** Writes an option into the group's route behind what was measured, with its reason. */
async function takeOption({
  batch,
  plan,
  option,
  stage,
}: {
  batch: BenchProps['batch']
  plan: BenchProps['plan']
  option: Option
  stage: Reading['stage']
}) {
  await editGroup(batch, plan.group.id, `Decide: ${KIND[option.kind].toLowerCase()}`, group => {
    const done = routeUpTo(group.route, stage)
    const route = option.temper
      ? { ...done, cold: option.cold ?? done.cold, tempers: [...done.tempers, option.temper] }
      : group.route
    return {
      ...group,
      route,
      decisions: [
        ...group.decisions,
        { at: new Date().toISOString(), what: option.steps.join(' ').slice(0, 400), why: option.why.slice(0, 1000) },
      ],
    }
  })
}

/** A blade that stands apart, with what is known of its packet. */
function apartWords(batch: Batch, { piece, mean }: { readonly piece: string; readonly mean: number }): string {
  const leak = packetOf(batch, piece)?.leak
  const reads = `${piece} reads ${hrcText(mean)}, apart from the rest, and is left out here.`
  return leak
    ? `${reads} Its packet leaked (${leak}): its skin has lost carbon. Grind a little deeper, read again, and judge it alone.`
    : `${reads} Look at its packet for a leak, and judge it alone.`
}
