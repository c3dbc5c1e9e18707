import type { Load } from '../../../../core/load/loads'
import { rounded } from '../../../../core/numeric/round'
import type { Oven } from '../../../../core/shop/oven'
import { logOf } from '../../../../core/trace/oven-log'
import { formatDifference, formatQuantity } from '../../../../core/units/quantity'
import { useBatchLogs } from '../../../../store/hooks'
import { useBench } from '../../bench-context'
import { useLoggedRoute } from '../../use-logged-route'
import { Expected } from '../Expected'
import { LaidLog, LayLog } from '../LaidLog'

interface Props {
  readonly load: Load
  readonly oven: Oven
}

/** Shows the measured heat of an oven, and its effect on the blades of this group. */
export function LoggedHeatView({ load, oven }: Props) {
  const { batch, shop, shown } = useBench()
  const logs = useBatchLogs(batch.id)
  const { group, grade } = shown
  const measured = useLoggedRoute(batch, group.id, logs)
  if (!logs || !measured) return <p className="py-6 text-ink-2">Reading …</p>
  const minutes = (min: number) => formatQuantity(rounded(min, 1), 'duration', shop.units)
  const { austenitizeC, soakMin } = group.route
  const { heat } = measured
  return (
    <LayLog
      of={{ ovenId: oven.id, batchId: batch.id, load: { temper: 0, groupIds: load.groups.map(g => g.id) } }}
      log={logOf(logs, group.id, 0)}
      says="After the heat, read in the logger’s file. The soak is then counted from the temperature the blade really had."
    >
      {(log, another) =>
        heat && (
          <LaidLog
            log={log}
            bladeName={`blade of ${grade.name}, modelled`}
            bladePoints={heat.blade}
            targetC={austenitizeC}
            inMin={heat.loadedMin}
            outMin={heat.pulledMin}
            momentNames={{ went: 'Blades put in at', came: 'First blade pulled at', out: 'first out' }}
            another={another}
            facts={[
              {
                name: `Time within ${formatDifference(5, shop.units).replace('+', '')} or above`,
                value: heat.arrivedMin === null ? 'never' : minutes(heat.atHeatMin),
                asked: `planned ${minutes(soakMin)}`,
              },
              {
                name: 'Equal to a soak of',
                value: minutes(heat.effectiveSoakMin),
                asked: 'at the planned temperature, by the carbide dissolved',
              },
              {
                name: 'Above the planned temperature by',
                value: formatDifference(heat.overshootK, shop.units),
                asked: `${minutes(heat.aboveMin)} above`,
              },
              {
                name: 'Mean blade temperature in the soak',
                value: heat.doseC === null ? '—' : formatQuantity(heat.doseC, 'temperature', shop.units),
                asked: `planned ${formatQuantity(austenitizeC, 'temperature', shop.units)}`,
              },
            ]}
          >
            <Expected route={measured.route} />
          </LaidLog>
        )
      }
    </LayLog>
  )
}
