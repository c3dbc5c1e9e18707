import { useState } from 'react'
import { type Load, preheatsOf, usualEntry } from '../../../../core/load/loads'
import type { Oven } from '../../../../core/shop/oven'
import { formatDifference, formatQuantity } from '../../../../core/units/quantity'
import type { EntrySchool } from '../../../../data/ovens'
import { editBatch } from '../../../../store/batches'
import { Problems } from '../../../../ui/Problems'
import { useSay } from '../../../../ui/Units'
import { useBench } from '../../bench-context'
import { EntryCurves } from './EntryCurves'
import { ENTRY_WORDS as WORDS } from './entry-words'
import { useEntries } from './use-entries'

interface Props {
  readonly load: Load
  readonly oven: Oven
}

/** The four schools of entry, on this oven with this load: curves and figures from the wall model. */
export function EntryView({ load, oven }: Props) {
  const { batch, shop } = useBench()
  const say = useSay()
  const preheats = preheatsOf(load.groups)
  const chosen = batch.entry ?? usualEntry(preheats)
  const [shown, setShown] = useState<EntrySchool>(chosen)
  const answer = useEntries(load, oven)
  if (!answer) return <p className="py-10 text-ink-2">Running the oven …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  const outcomes = answer.value
  const active = outcomes.find(o => o.school === shown) ?? outcomes[0]
  const time = (min: number | null) =>
    min === null ? 'never' : formatQuantity(Math.round(min), 'duration', shop.units)
  return (
    <div>
      <p className="text-note text-ink-2">
        {shown === chosen ? (
          <>
            Blades are loaded {WORDS[chosen].name}, {batch.entry === undefined ? 'as suggested' : 'set by you'}.{' '}
            {batch.entry !== undefined && batch.entry !== usualEntry(preheats) && (
              <button
                type="button"
                className="link min-h-touch"
                onClick={() => void editBatch(batch, 'Suggested way to load', ({ entry: _, ...b }) => b)}
              >
                Use the suggested way, {WORDS[usualEntry(preheats)].name}
              </button>
            )}{' '}
          </>
        ) : (
          <button
            type="button"
            className="link min-h-touch font-semibold text-ember"
            onClick={() => void editBatch(batch, 'Way to load', b => ({ ...b, entry: shown }))}
          >
            Load {WORDS[shown].name}
          </button>
        )}{' '}
        Thin line: the oven’s display. Thick line: the blade. Dotted: the blade by the other ways. Worked out from a
        cold oven.
      </p>
      {active && <EntryCurves outcomes={outcomes} active={active} system={shop.units} />}
      <div className="overflow-x-auto">
        <table className="sheet min-w-[620px] text-small">
          <thead>
            <tr>
              <th>Way to load</th>
              <th>From oven on to the end of the soak</th>
              <th>Time in the oven before the soak</th>
              <th>Largest difference, skin to core</th>
              <th>Energy</th>
              <th>Good for</th>
            </tr>
          </thead>
          <tbody>
            {outcomes.map(o => (
              <tr key={o.school}>
                <td className="!py-0.5">
                  <button
                    type="button"
                    aria-pressed={o.school === shown}
                    className={`min-h-row text-left ${o.school === shown ? 'font-semibold text-ember' : 'link'}`}
                    onClick={() => setShown(o.school)}
                  >
                    {WORDS[o.school].name}
                  </button>
                </td>
                <td className="!py-0.5 font-semibold">{time(o.totalMin)}</td>
                <td className="!py-0.5">{time(o.inOvenMin)}</td>
                <td className="!py-0.5">
                  {say.perMinute(o.steepestKPerMin)}, {formatDifference(o.skinAheadK, shop.units).replace(/^\+/, '')}
                </td>
                <td className="!py-0.5">{o.energyKWh.toFixed(1)} kWh</td>
                <td className="!py-0.5 text-ink-2">{WORDS[o.school].says}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  )
}
