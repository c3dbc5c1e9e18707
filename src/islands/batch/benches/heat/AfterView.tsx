import { useMemo, useState } from 'react'
import { afterHeat } from '../../../../core/oven/after'
import { correctionOf } from '../../../../core/oven/correction'
import { viewOf } from '../../../../core/oven/rack'
import type { Load } from '../../../../core/plan/tray'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Batch, OvenLog, Workshop } from '../../../../core/record/schemas'
import { predict } from '../../../../core/steel/predict'
import { compositionOf } from '../../../../core/steel/steel'
import { formatDifference, formatQuantity } from '../../../../core/units/quantity'
import { useBatchLogs } from '../../../../store/hooks'
import { putLog, removeLog } from '../../../../store/records'
import { LogDrawing } from '../../../../ui/drawings/LogDrawing'
import { NumberField } from '../../../../ui/PlainFields'
import { LogImport } from '../../../oven/LogImport'
import { newId } from '../../edit'
import type { GroupPlan } from '../../use-plan'
import { band95, hrcText } from '../bench-props'
import { packetsOf, placesOf } from './heat-load'

interface Props {
  readonly batch: Batch
  readonly load: Load
  readonly oven: Oven
  readonly shop: Workshop
  readonly plan: GroupPlan
}

/** What the oven really did, and what it did to the blades of this group. */
export function AfterView({ batch, load, oven, shop, plan }: Props) {
  const logs = useBatchLogs(batch.id)
  const [adding, setAdding] = useState(false)
  const [log] = logs ?? []
  if (!logs) return <p className="py-6 text-ink-2">Reading …</p>
  if (!log || adding)
    return (
      <div className="py-2">
        {!log && (
          <p className="mb-3 max-w-2xl text-[13.5px]">
            After the heat: lay the logger’s file over the plan, and the soak is counted by what the blade really saw.
          </p>
        )}
        <LogImport
          system={shop.units}
          action="Lay it over the plan"
          onTake={(name, points) => {
            void putLog({
              id: newId(),
              ovenId: oven.id,
              batchId: batch.id,
              name,
              addedAt: new Date().toISOString(),
              points: points.map(([m, c]) => [m, c]),
              loadedMin: null,
              pulledMin: null,
            })
            setAdding(false)
          }}
        />
      </div>
    )
  return (
    <Measured log={log} batch={batch} load={load} oven={oven} shop={shop} plan={plan} onAdd={() => setAdding(true)} />
  )
}

function Measured({ log, batch, load, oven, shop, plan, onAdd }: Props & { log: OvenLog; onAdd: () => void }) {
  const { group, grade, experience, prediction } = plan
  const after = useMemo(() => {
    const places = placesOf(load, oven, batch)
    const packets = packetsOf(load)
    const own = load.pieces.filter(p => p.group.id === group.id)
    const thickest = [...own].sort((a, b) => b.blade.thicknessMm - a.blade.thicknessMm)[0]
    const correction = correctionOf(oven)
    return afterHeat({
      points: log.points,
      trueC: shown => shown - correction(shown),
      austenitizeC: group.route.austenitizeC,
      thicknessMm: thickest?.blade.thicknessMm ?? plan.thicknessMm,
      view: thickest ? viewOf(thickest.mark, packets, places) : 1,
      steel: compositionOf(grade),
      loadedMin: log.loadedMin,
      pulledMin: log.pulledMin,
    })
  }, [log, load, oven, batch, group, grade, plan.thicknessMm])
  const measured = useMemo(
    () =>
      after.doseC === null
        ? null
        : predict(
            grade,
            { ...group.route, austenitizeC: after.doseC, soakMin: Math.max(0.5, after.soakAtDoseMin) },
            experience,
          ),
    [after, grade, group, experience],
  )
  const minutes = (min: number) => formatQuantity(Math.round(min * 10) / 10, 'duration', shop.units)
  const change = (part: Partial<OvenLog>) => void putLog({ ...log, ...part })
  return (
    <div>
      <LogDrawing
        lines={[
          { name: 'the display, as logged', points: log.points, look: 'logged' },
          { name: `blade of ${grade.name}, modelled`, points: after.blade, look: 'blade' },
        ]}
        system={shop.units}
        label={`${log.name}: display and blade`}
        targetC={group.route.austenitizeC}
        marks={[
          { min: after.loadedMin, name: 'in' },
          { min: after.pulledMin, name: 'first out' },
        ]}
        height={200}
      />
      <dl className="mt-2 grid grid-cols-2 gap-x-6 gap-y-1 text-[13.5px] sm:grid-cols-4">
        <Fact
          name="Within 5° or above"
          value={after.arrivedMin === null ? 'never' : minutes(after.atHeatMin)}
          asked={`asked ${minutes(group.route.soakMin)}`}
        />
        <Fact
          name="Worth, at the soak asked for"
          value={minutes(after.effectiveSoakMin)}
          asked="by what it dissolved"
        />
        <Fact
          name="Went past it by"
          value={formatDifference(after.overshootK, shop.units)}
          asked={`${minutes(after.aboveMin)} above`}
        />
        <Fact
          name="Mean of the blade in its soak"
          value={after.doseC === null ? '—' : formatQuantity(after.doseC, 'temperature', shop.units)}
          asked={`asked ${formatQuantity(group.route.austenitizeC, 'temperature', shop.units)}`}
        />
      </dl>
      <p className="mt-2 text-[14px]">
        {measured ? (
          <>
            With what really happened it should finish at <strong>{hrcText(measured.finalHrc.mean)} HRC</strong>{' '}
            {band95(measured.finalHrc.sd)}; as planned {hrcText(prediction.finalHrc.mean)}.
          </>
        ) : (
          <strong className="text-bad">The blade never came within 5 °C of its soak: it is under-soaked.</strong>
        )}
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-36">
          <NumberField
            label="Went in at"
            unit="min"
            value={Math.round(after.loadedMin * 10) / 10}
            min={0}
            max={100_000}
            onCommit={loadedMin => change({ loadedMin })}
          />
        </div>
        <div className="w-36">
          <NumberField
            label="First came out at"
            unit="min"
            value={Math.round(after.pulledMin * 10) / 10}
            min={0}
            max={100_000}
            onCommit={pulledMin => change({ pulledMin })}
          />
        </div>
        <button type="button" className="btn" onClick={onAdd}>
          Another log …
        </button>
        <button type="button" className="btn" onClick={() => void removeLog(log.id)}>
          Take this one off
        </button>
      </div>
    </div>
  )
}

function Fact({ name, value, asked }: { name: string; value: string; asked: string }) {
  return (
    <div className="border-t border-rule py-1">
      <dt className="text-[12.5px] text-ink-2">{name}</dt>
      <dd>
        <span className="font-semibold">{value}</span> <span className="text-[12.5px] text-ink-2">{asked}</span>
      </dd>
    </div>
  )
}
