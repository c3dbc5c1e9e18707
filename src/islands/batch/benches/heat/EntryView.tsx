import { useMemo, useRef, useState } from 'react'
import { heatKindsOf } from '../../../../core/job/heat-load'
import { type Load, preheatsOf, usualEntry } from '../../../../core/job/loads'
import { detailedOven } from '../../../../core/job/ovens'
import type { EntryOutcome } from '../../../../core/oven/entry-schools'
import type { Oven } from '../../../../core/shop/oven'
import { formatDifference, formatQuantity, type System } from '../../../../core/units/quantity'
import type { EntrySchool } from '../../../../data/ovens'
import { editBatch } from '../../../../store/batches'
import { HeatGrid, plotScale, USUAL_WIDTH } from '../../../../ui/drawings/HeatGrid'
import { heatColour } from '../../../../ui/heatline/colour'
import { Problems } from '../../../../ui/Problems'
import { useWidth } from '../../../../ui/use-width'
import { useAnswer } from '../../../../workers/use-answer'
import { useBench } from '../../bench-context'

const WORDS: Readonly<Record<EntrySchool, { name: string; says: string }>> = {
  'from-cold': { name: 'from cold', says: 'gentlest, but the longest in the oven: more scale and carbon loss' },
  'on-the-way-up': { name: 'while the oven heats', says: 'the usual way: gentle enough, little time lost' },
  equalised: { name: 'equalised', says: 'thick and thin blades start level; where the data sheet asks for it' },
  'straight-in': {
    name: 'into the hot oven',
    says: 'quickest for one blade after another, but the steepest: thin blades may bend',
  },
}
interface Props {
  readonly load: Load
  readonly oven: Oven
}

/** The four schools of entry, on this oven with this load: curves and figures from the wall model. */
export function EntryView({ load, oven }: Props) {
  const { batch, shop } = useBench()
  const preheats = preheatsOf(load.groups)
  const chosen = batch.entry ?? usualEntry(preheats)
  const [shown, setShown] = useState<EntrySchool>(chosen)
  const request = useMemo(
    () => ({
      oven: detailedOven(oven),
      austenitizeC: load.austenitizeC,
      soakMin: Math.max(...load.groups.map(g => g.route.soakMin)),
      equalise: [...preheatsOf(load.groups)],
      load: heatKindsOf(load, oven).map(({ thicknessMm, widthMm, lengthMm, count, view }) => ({
        thicknessMm,
        widthMm,
        lengthMm,
        count,
        view,
      })),
    }),
    [load, oven],
  )
  const answer = useAnswer('entries', request)
  if (!answer) return <p className="py-10 text-ink-2">Running the oven …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  const outcomes = answer.value
  const active = outcomes.find(o => o.school === shown) ?? outcomes[0]
  const time = (min: number | null) =>
    min === null ? 'never' : formatQuantity(Math.round(min), 'duration', shop.units)
  const perMin = (k: number) =>
    `${Math.round(shop.units === 'metric' ? k : k * 1.8)} ${shop.units === 'metric' ? '°C' : '°F'}/min`
  return (
    <div>
      <p className="text-note text-ink-2">
        {shown === chosen ? (
          <>
            How the blades go in {WORDS[chosen].name}, {batch.entry === undefined ? 'as suggested' : 'set by you'}.{' '}
            {batch.entry !== undefined && batch.entry !== usualEntry(preheats) && (
              <button
                type="button"
                className="link min-h-11"
                onClick={() => void editBatch(batch, 'Suggested way to load', ({ entry: _, ...b }) => b)}
              >
                Use the suggested way, {WORDS[usualEntry(preheats)].name}
              </button>
            )}{' '}
          </>
        ) : (
          <button
            type="button"
            className="link min-h-11 font-semibold text-ember"
            onClick={() => void editBatch(batch, 'Way to load', b => ({ ...b, entry: shown }))}
          >
            Go in {WORDS[shown].name}
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
                    className={`min-h-8 text-left ${o.school === shown ? 'font-semibold text-ember' : 'link'}`}
                    onClick={() => setShown(o.school)}
                  >
                    {WORDS[o.school].name}
                  </button>
                </td>
                <td className="!py-0.5 font-semibold">{time(o.totalMin)}</td>
                <td className="!py-0.5">{time(o.inOvenMin)}</td>
                <td className="!py-0.5">
                  {perMin(o.steepestKPerMin)}, {formatDifference(o.skinAheadK, shop.units).replace(/^\+/, '')}
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

const HEIGHT = 200

/** Oven and blade of the chosen school; the blades of the others faint behind it. */
function EntryCurves({
  outcomes,
  active,
  system,
}: {
  outcomes: readonly EntryOutcome[]
  active: EntryOutcome
  system: System
}) {
  const longest = Math.max(30, ...outcomes.flatMap(o => o.curve.map(([min]) => min)))
  const hottest = Math.max(1000, ...active.curve.map(([, c]) => c))
  const frame = useRef<HTMLDivElement>(null)
  const width = useWidth(frame) || USUAL_WIDTH
  const scale = plotScale(longest, hottest, HEIGHT, width)
  const { x, y, path } = scale
  const blade = (o: EntryOutcome) => o.curve.flatMap(([m, , c]): [number, number][] => (c === null ? [] : [[m, c]]))
  const own = blade(active)
  return (
    <div ref={frame}>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        className="mb-1 w-full"
        role="img"
        aria-label={`Oven and blade, ${WORDS[active.school].name}, over ${Math.round(longest)} minutes`}
      >
        <HeatGrid scale={scale} system={system} />
        {outcomes
          .filter(o => o !== active)
          .map(o => (
            <path
              key={o.school}
              d={path(blade(o))}
              fill="none"
              className="stroke-rule-strong"
              strokeWidth={1}
              strokeDasharray="2 4"
            />
          ))}
        <path
          d={path(active.curve.map(([m, c]) => [m, c] as const))}
          fill="none"
          className="stroke-ink"
          strokeWidth={1.4}
        />
        {own.slice(1).map(([m, c], i) => {
          const [m0, c0] = own[i] as [number, number]
          return (
            <line
              key={i}
              x1={x(m0)}
              y1={y(c0)}
              x2={x(m)}
              y2={y(c)}
              stroke={heatColour((c + c0) / 2, 'ramp')}
              strokeWidth={3.5}
              strokeLinecap="round"
            />
          )
        })}
      </svg>
    </div>
  )
}
