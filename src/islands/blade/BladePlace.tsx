import { outlinePath } from '../../core/blade/outline'
import { packetOf } from '../../core/plan/packets'
import { piecesOf } from '../../core/plan/tray'
import type { Batch, Workshop } from '../../core/record/schemas'
import { stageLabel, stagesOf } from '../../core/rockwell/stages'
import { formatBoth, formatQuantity } from '../../core/units/quantity'
import { useBatch, useReadings } from '../../store/hooks'
import { Place } from '../Place'

interface Props {
  readonly batchId: string
  readonly mark: string
}

/** One blade, as its label opens it: what it is, where it lay, what it read. */
export default function BladePlace({ batchId, mark }: Props) {
  return <Place>{shop => <Loaded batchId={batchId} mark={mark} shop={shop} />}</Place>
}

function Loaded({ batchId, mark, shop }: Props & { shop: Workshop }) {
  const batch = useBatch(batchId)
  if (batch === undefined) return <p className="p-6 text-ink-2">Reading …</p>
  const piece = batch && piecesOf(batch).find(p => p.mark === mark)
  if (!batch || !piece)
    return (
      <div className="p-6">
        <h1 className="text-xl">There is no blade {mark} here</h1>
        <p className="my-3">It belongs to another browser, or its mark was changed since the label was printed.</p>
        <a className="btn btn-ember" href="/batches">
          See all batches
        </a>
      </div>
    )
  return <Blade batch={batch} mark={mark} shop={shop} />
}

function Blade({ batch, mark, shop }: { batch: Batch; mark: string; shop: Workshop }) {
  const readings = useReadings(batch.id)?.filter(r => r.piece === mark) ?? []
  const piece = piecesOf(batch).find(p => p.mark === mark)
  const packet = packetOf(batch, mark)
  if (!piece) return null
  const { blade, group } = piece
  const { route } = group
  const size = (mm: number) => formatQuantity(mm, 'length', shop.units)
  const rows: readonly (readonly [name: string, value: React.ReactNode])[] = [
    ['Steel', `${group.gradeName}${group.lot ? `, ${group.lot}` : ''}`],
    ['Size', `${size(blade.lengthMm)} × ${size(blade.widthMm)} × ${size(blade.thicknessMm)}`],
    ['Soak', `${formatBoth(route.austenitizeC, shop.units)}, ${formatQuantity(route.soakMin, 'duration', shop.units)}`],
    ['Cold', route.cold ? formatQuantity(route.cold.toC, 'temperature', shop.units) : 'none'],
    ['Tempers', route.tempers.map(t => formatBoth(t.atC, shop.units)).join(', ') || 'none'],
    [
      'Packet',
      packet
        ? `${packet.mark}, ${packet.leak ? `leaked: ${packet.leak}` : packet.sealed ? 'sealed' : 'not sealed yet'}`
        : 'none',
    ],
    ...stagesOf(route).map(stage => {
      const own = readings.filter(r => r.stage === stage).map(r => r.hrc)
      return [
        stageLabel(stage),
        own.length > 0
          ? `${(own.reduce((sum, v) => sum + v, 0) / own.length).toFixed(1)} HRC (${own.join(', ')})`
          : 'not read',
      ] as const
    }),
  ]
  return (
    <div className="max-w-[760px] px-4 py-6 md:px-8">
      <h1 className="text-[26px]">
        {mark} <span className="font-normal text-ink-2">of {batch.name}</span>
      </h1>
      <svg
        viewBox={`-2 -2 ${blade.lengthMm + 4} ${blade.widthMm + 4}`}
        className="my-4 max-h-40 w-full"
        preserveAspectRatio="xMinYMid meet"
        role="img"
        aria-label={`Outline of ${mark}`}
      >
        <path d={outlinePath(blade)} className="fill-raised stroke-ink" strokeWidth={0.8} />
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
      <div className="mt-4 flex gap-2">
        <a className="btn btn-ember" href={`/batch/${batch.id}/measure`}>
          Log a reading
        </a>
        <a className="btn" href={`/batch/${batch.id}/choose`}>
          Its batch
        </a>
      </div>
    </div>
  )
}
