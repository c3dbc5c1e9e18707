import { keyedC } from '../../../../core/oven/correction'
import type { Oven } from '../../../../core/shop/oven'
import { heatColour } from '../../../../ui/heatline/colour'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { useSay } from '../../../../ui/Units'
import { temperWaitWords } from '../../../../words/batch-day'
import { hoursText } from '../../../../words/clock-text'
import { marksOf } from '../../../../words/lists'
import { hrcText } from '../../../../words/speaker'
import { useBench } from '../../bench-context'

/** The temper loads in order: who goes in together, what is keyed, and what it should read afterwards. */
export function TemperLoads({ oven }: { oven: Oven }) {
  const { temperLoads, groups } = useBench()
  const say = useSay()
  const nameOf = (groupId: string) => groups.find(g => g.group.id === groupId)?.grade.name ?? ''
  return (
    <ScrollRegion label="Temper loads" className="max-h-[228px] overflow-auto">
      <table className="sheet">
        <thead className="sticky top-0 bg-ash">
          <tr>
            <th>Load</th>
            <th>Put in, h:min from oven on</th>
            <th>Blades</th>
            <th>Set to</th>
            <th>Hold</th>
            <th>Oxide tint</th>
            <th>Expected hardness after, HRC</th>
          </tr>
        </thead>
        <tbody>
          {temperLoads.map(load => (
            <tr key={`${load.round} ${load.atC} ${load.holdMin}`}>
              <td className="whitespace-nowrap">Temper {load.round}</td>
              <td>
                {load.place ? hoursText(load.place.startMin) : '…'}
                {load.place && <span className="block text-note text-ink-2">{temperWaitWords(load.place, say)}</span>}
              </td>
              <td>{marksOf(load.blades.map(b => b.mark))}</td>
              <td className="figure text-title whitespace-nowrap">{say.keyed(keyedC(oven, load.atC))}</td>
              <td>{say.minutes(load.holdMin)}</td>
              <td>
                <span
                  className="inline-block h-5 w-12 border align-middle border-rule-strong"
                  style={{ background: heatColour(load.atC, 'temper') }}
                />
              </td>
              <td>
                {load.expected
                  .map(e => `${hrcText(e.hrc)}${load.expected.length > 1 ? ` (${nameOf(e.groupId)})` : ''}`)
                  .join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </ScrollRegion>
  )
}
