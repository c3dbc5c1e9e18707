import { useMemo, useState } from 'react'
import { asMeasured } from '../../../../core/plan/as-measured'
import { temperLoadsOf } from '../../../../core/plan/tray'
import { logOf } from '../../../../core/record/oven-log'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import { formatDifference, formatQuantity } from '../../../../core/units/quantity'
import { useBatchLogs } from '../../../../store/hooks'
import { SelectField } from '../../../../ui/PlainFields'
import type { GroupPlan } from '../../use-plan'
import { Expected } from '../Expected'
import { LaidLog, LayLog } from '../LaidLog'

interface Props {
  readonly batch: Batch
  readonly oven: Oven
  readonly shop: Workshop
  readonly plan: GroupPlan
}

/** What the tempering oven really did: the temper the blades had against the one that was asked for. */
export function AfterTemperView({ batch, oven, shop, plan }: Props) {
  const logs = useBatchLogs(batch.id)
  const { group, grade } = plan
  const [picked, setPicked] = useState(1)
  const round = Math.min(picked, group.route.tempers.length)
  const asked = group.route.tempers[round - 1]
  const measured = useMemo(
    () => (logs ? asMeasured(logs, batch, group, grade, shop) : null),
    [logs, batch, group, grade, shop],
  )
  if (!asked) return <p className="py-6 text-ink-2">No temper is planned: add one below, in “Loads”.</p>
  if (!logs || !measured) return <p className="py-6 text-ink-2">Reading …</p>
  const load = temperLoadsOf(batch).find(l => l.round === round && l.atC === asked.atC && l.holdMin === asked.holdMin)
  const groupIds = [...new Set(load?.pieces.map(p => p.group.id) ?? [group.id])]
  const minutes = (min: number) => formatQuantity(Math.round(min), 'duration', shop.units)
  const at = (c: number) => formatQuantity(c, 'temperature', shop.units)
  const after = measured.tempers[round - 1]
  return (
    <>
      {group.route.tempers.length > 1 && (
        <div className="w-56 py-1">
          <SelectField
            label="Which temper"
            value={String(round)}
            options={group.route.tempers.map(
              (t, i) => [String(i + 1), `${i + 1}: ${at(t.atC)} for ${minutes(t.holdMin)}`] as const,
            )}
            onCommit={n => setPicked(Number(n))}
          />
        </div>
      )}
      <LayLog
        key={round}
        of={{ ovenId: oven.id, batchId: batch.id, load: { temper: round, groupIds } }}
        shop={shop}
        log={logOf(logs, group.id, round)}
        says={`After temper ${round}: lay the logger’s file over the plan. An oven that swings tempers by its peaks: the hold is counted by what the blade really saw.`}
      >
        {(log, another) =>
          after && (
            <LaidLog
              log={log}
              shop={shop}
              bladeName={`blade of ${grade.name}, modelled`}
              bladePoints={after.blade}
              targetC={asked.atC}
              inMin={after.inMin}
              outMin={after.outMin}
              momentNames={{ went: 'Went in at', came: 'Came out at', out: 'out' }}
              another={another}
              facts={[
                {
                  name: 'Within 5° or above',
                  value: after.arrivedMin === null ? 'never' : minutes(after.atHeatMin),
                  asked: `asked ${minutes(asked.holdMin)}`,
                },
                {
                  name: `Worth, at ${at(asked.atC)}`,
                  value: minutes(after.effectiveMin),
                  asked: 'by how it softens',
                },
                {
                  name: 'Oven went past it by',
                  value: formatDifference(after.overshootK, shop.units),
                  asked: `blade ${minutes(after.aboveMin)} above`,
                },
                { name: 'Mean of the blade', value: at(after.dose.atC), asked: `hottest ${at(after.bladePeakC)}` },
              ]}
            >
              <Expected plan={plan} route={measured.route} />
              {oven.fan === undefined && ' Whether this oven has a fan is not said: the blade’s lag is midway.'}
            </LaidLog>
          )
        }
      </LayLog>
    </>
  )
}
