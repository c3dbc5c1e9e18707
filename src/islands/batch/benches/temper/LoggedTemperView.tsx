import { useState } from 'react'
import { logOf } from '../../../../core/job/oven-log'
import type { Oven } from '../../../../core/shop/oven'
import { formatDifference, formatQuantity } from '../../../../core/units/quantity'
import { useBatchLogs } from '../../../../store/hooks'
import { SelectField } from '../../../../ui/PlainFields'
import { useBench } from '../../bench-context'
import { useLoggedRoute } from '../../use-logged-route'
import { Expected } from '../Expected'
import { LaidLog, LayLog } from '../LaidLog'

/** What the tempering oven really did: the temper the blades had against the one that was asked for. */
export function LoggedTemperView({ oven }: { oven: Oven }) {
  const { batch, shop, shown, temperLoads } = useBench()
  const logs = useBatchLogs(batch.id)
  const { group, grade } = shown
  const [picked, setPicked] = useState(1)
  const round = Math.min(picked, group.route.tempers.length)
  const asked = group.route.tempers[round - 1]
  const measured = useLoggedRoute(batch, group.id, logs)
  if (!asked) return <p className="py-6 text-ink-2">No temper is planned: add one below, in “Loads”.</p>
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
        says={`After temper ${round}: lay the logger’s file over the plan. An oven that swings tempers by its peaks: the hold is counted by what the blade really saw.`}
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
              <Expected route={measured.route} />
              {oven.fan === undefined && ' Whether this oven has a fan is not said: the blade’s lag is midway.'}
            </LaidLog>
          )
        }
      </LayLog>
    </>
  )
}
