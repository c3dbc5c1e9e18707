import { useState } from 'react'
import type { Oven } from '../../../../core/shop/oven'
import { logOf } from '../../../../core/trace/oven-log'
import { formatDifference, formatQuantity } from '../../../../core/units/quantity'
import { useBatchLogs } from '../../../../store/hooks'
import { SelectField } from '../../../../ui/PlainFields'
import { useBench } from '../../bench-context'
import { useLoggedRoute } from '../../use-logged-route'
import { Expected } from '../Expected'
import { LaidLog, LayLog } from '../LaidLog'

/** Shows the measured temper of the oven against the one that was asked for. */
export function LoggedTemperView({ oven }: { oven: Oven }) {
  const { batch, shop, shown, temperLoads } = useBench()
  const logs = useBatchLogs(batch.id)
  const { group, grade } = shown
  const [picked, setPicked] = useState(1)
  const round = Math.min(picked, group.route.tempers.length)
  const asked = group.route.tempers[round - 1]
  const measured = useLoggedRoute(batch, group.id, logs)
  if (!asked) return <p className="py-6 text-ink-2">No temper is planned. Add one under “Loads”.</p>
  if (!logs || !measured) return <p className="py-6 text-ink-2">Reading …</p>
  const load = temperLoads.find(l => l.round === round && l.atC === asked.atC && l.holdMin === asked.holdMin)
  const groupIds = [...new Set(load?.blades.map(b => b.group.id) ?? [group.id])]
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
        log={logOf(logs, group.id, round)}
        says={`After temper ${round}, read in the logger’s file. The hold is then counted from the temperature the blade really had; an oven that swings tempers by its peaks.`}
      >
        {(log, another) =>
          after && (
            <LaidLog
              log={log}
              bladeName={`blade of ${grade.name}, modelled`}
              bladePoints={after.blade}
              targetC={asked.atC}
              inMin={after.inMin}
              outMin={after.outMin}
              momentNames={{ went: 'Blades put in at', came: 'Blades taken out at', out: 'out' }}
              another={another}
              facts={[
                {
                  name: `Time within ${formatDifference(5, shop.units).replace('+', '')} or above`,
                  value: after.arrivedMin === null ? 'never' : minutes(after.atHeatMin),
                  asked: `planned ${minutes(asked.holdMin)}`,
                },
                {
                  name: `Equal to a temper at ${at(asked.atC)} of`,
                  value: minutes(after.effectiveMin),
                  asked: 'by how far it softens the steel',
                },
                {
                  name: 'Oven above the planned temperature by',
                  value: formatDifference(after.overshootK, shop.units),
                  asked: `blade ${minutes(after.aboveMin)} above`,
                },
                { name: 'Mean blade temperature', value: at(after.dose.atC), asked: `hottest ${at(after.bladePeakC)}` },
              ]}
            >
              <Expected route={measured.route} />
              {oven.fan === undefined &&
                ' The Workshop does not say whether this oven has a fan, so a middle delay is used.'}
            </LaidLog>
          )
        }
      </LayLog>
    </>
  )
}
