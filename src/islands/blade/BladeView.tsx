import { stagesOf } from '../../core/batch/hardness-stages'
import { type BatchBlade, routeOfBlade } from '../../core/batch/tray'
import type { Hardness } from '../../core/hardness/hardness'
import { readingsOf } from '../../core/hardness/readings-of'
import { packetOf } from '../../core/load/packets'
import { bladeLife } from '../../core/logbook/blade-life'
import { outlinePath } from '../../core/rockwell/outline'
import type { Batch } from '../../core/shop/batch'
import type { Reading } from '../../core/shop/reading'
import { useHardenedAgain } from '../../store/blade-hooks'
import { useReadings } from '../../store/hooks'
import { useRunsOf } from '../../store/run-hooks'
import { format } from '../../ui/dates'
import { Problems } from '../../ui/Problems'
import { useSay } from '../../ui/Units'
import { lifeWords } from '../../words/blade-life'
import { stateWords } from '../../words/blade-state'
import { counted } from '../../words/lists'
import { leakWords } from '../../words/packets'
import { hrcText } from '../../words/speaker'
import { stageName } from '../../words/stages'
import { CodeButton } from '../code/CodeButton'
import { StateField } from '../StateField'
import { useMeasured } from '../use-measured'
import { Pictures } from './Pictures'

/** Shows one blade: what it is, where it lay, how hard it is. */
export default function BladeView({ batch, blade }: { batch: Batch; blade: BatchBlade }) {
  const say = useSay()
  const readings = useReadings(batch.id)
  const answer = useMeasured(batch, blade.group.id, readings)
  const again = useHardenedAgain(blade.id)
  if (!readings || !answer) return <p className="p-6 text-ink-2">Reading …</p>
  if (!answer.ok) return <Problems of={answer.problems} className="p-6" />
  const measured = answer.value.blades[blade.id] ?? []
  const packet = packetOf(batch, blade.id)
  const { mark, serial, line, group } = blade
  const route = routeOfBlade(blade)
  const rows: readonly (readonly [name: string, value: React.ReactNode])[] = [
    ['Serial', serial],
    ['Steel', `${group.gradeName}${group.lot ? `, ${group.lot}` : ''}`],
    ['Size', `${say.length(line.lengthMm)} × ${say.length(line.widthMm)} × ${say.length(line.thicknessMm)}`],
    [
      'State',
      <>
        {stateWords(blade.record)}
        {again && (
          <>
            ,{' '}
            <a className="underline" href={`/blade/${again.id}`}>
              hardened again
            </a>
          </>
        )}
      </>,
    ],
    ...(blade.record.before
      ? [
          [
            'Hardened before',
            <a key="before" className="underline" href={`/blade/${blade.record.before.bladeId}`}>
              {counted(blade.record.before.hardened, 'time')}: what it was then
            </a>,
          ] as const,
        ]
      : []),
    [
      'Soak',
      `${say.t(route.austenitizeC)}, ${say.minutes(route.soakMin)} planned${blade.record.soakedMin === undefined ? '' : `, ${blade.record.soakedMin.toFixed(1)} min as run`}`,
    ],
    ['Cold', route.cold ? say.t(route.cold.toC) : 'none'],
    ['Tempers', route.tempers.map(t => say.t(t.atC)).join(', ') || 'none'],
    [
      'Packet',
      packet
        ? packet.leak
          ? `leaked: ${leakWords(packet.leak)}`
          : packet.sealed
            ? 'sealed'
            : 'not sealed yet'
        : 'none',
    ],
    ...stagesOf(route).map(stage => {
      const hardness = measured.find(one => one.stage === stage)
      const shown = readingsOf([blade], stage, { readings }).map(r => r.hrc)
      return [
        stageName(stage),
        hardness
          ? `${hrcText(hardness.hrc)} HRC${shown.length > 0 ? ` (readings ${shown.join(', ')})` : ', by files'}`
          : 'not measured',
      ] as const
    }),
  ]
  return (
    <div className="max-w-[760px] px-4 py-6 md:px-8">
      <h1 className="text-page">
        {mark} <span className="font-normal text-ink-2">of {batch.name}</span>
      </h1>
      <svg
        viewBox={`-2 -2 ${line.lengthMm + 4} ${line.widthMm + 4}`}
        className="my-4 max-h-40 w-full"
        preserveAspectRatio="xMinYMid meet"
        role="img"
        aria-label={`Outline of ${mark}`}
      >
        <path d={outlinePath(line)} className="fill-raised stroke-ink" strokeWidth={0.8} />
      </svg>
      <table className="sheet">
        <tbody>
          {rows.map(([name, value]) => (
            <tr key={name}>
              <th scope="row" className="w-40 !border-rule">
                {name}
              </th>
              <td>{value}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Pictures blade={blade} />
      <Life batch={batch} blade={blade} readings={readings} measured={measured} />
      <div className="mt-4">
        <StateField batch={batch} blade={blade} />
      </div>
      <div className="mt-4 flex flex-wrap gap-2">
        <a className="btn btn-ember" href={`/batch/${batch.id}/measure`}>
          Enter a reading
        </a>
        <a className="btn" href={`/certificate/${batch.id}?blade=${encodeURIComponent(serial)}`}>
          Certificate
        </a>
        <CodeButton
          of={async () => (await import('../../core/files/code')).carriedBlade(batch, blade.id, readings)}
          name={`Blade ${serial}`}
        />
        <a className="btn" href={`/batch/${batch.id}/choose`}>
          Its batch
        </a>
      </div>
    </div>
  )
}

interface LifeProps {
  readonly batch: Batch
  readonly blade: BatchBlade
  readonly readings: readonly Reading[]
  readonly measured: readonly Hardness[]
}

/** All that was noted of it, in the order it happened. */
function Life({ batch, blade, readings, measured }: LifeProps) {
  const say = useSay()
  const runs = useRunsOf(batch.id)
  if (!runs) return null
  return (
    <section aria-label="History" className="mt-6">
      <h2 className="text-heading">History</h2>
      <ol className="mt-2">
        {bladeLife(blade, { batch, runs, readings, measured }).map((event, i) => (
          <li key={i} className="grid gap-x-4 border-t border-rule py-1.5 sm:grid-cols-[150px_minmax(0,1fr)]">
            <span className="text-note text-ink-2">{format(event.at)}</span>
            <span>{lifeWords(event, blade.mark, say)}</span>
          </li>
        ))}
      </ol>
    </section>
  )
}
