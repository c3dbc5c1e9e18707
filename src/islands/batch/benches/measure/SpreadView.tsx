import { placesOf } from '../../../../core/plan/heat-load'
import { packetOf } from '../../../../core/plan/packets'
import { loadsOf, type Piece } from '../../../../core/plan/tray'
import { ovenOf } from '../../../../core/record/oven-record'
import type { Batch, Reading, Workshop } from '../../../../core/record/schemas'
import { slopeOver, spreadOf } from '../../../../core/rockwell/components'
import { formatQuantity } from '../../../../core/units/quantity'
import { ChamberFrame, chamberViewBox } from '../../../../ui/drawings/ChamberFrame'
import { hrcText } from '../bench-props'

interface Props {
  readonly batch: Batch
  readonly shop: Workshop
  readonly pieces: readonly Piece[]
  readonly readings: readonly Reading[]
}

const SURE = 0.05

/** Within a blade, between blades, and over the oven: a cold corner or a leaking packet shows. */
export function SpreadView({ batch, shop, pieces, readings }: Props) {
  const byBlade = pieces
    .map(piece => ({ piece, values: readings.filter(r => r.piece === piece.mark).map(r => r.hrc) }))
    .filter(b => b.values.length > 0)
  if (byBlade.length < 2)
    return (
      <p className="py-6 text-ink-2">Two blades with readings of this stage are needed to tell blades from scatter.</p>
    )
  const spread = spreadOf(byBlade.map(b => b.values))
  const oven = ovenOf(shop, batch)
  const places = new Map(
    loadsOf(batch).flatMap(load => placesOf(load, oven, batch).map(place => [place.mark, place] as const)),
  )
  const points = byBlade.flatMap(({ piece, values }) => {
    const place = places.get(piece.mark)
    return place
      ? [
          {
            mark: piece.mark,
            inMm: place.inMm + piece.blade.lengthMm / 2,
            acrossMm: place.acrossMm,
            hrc: values.reduce((a, b) => a + b, 0) / values.length,
          },
        ]
      : []
  })
  const deep = slopeOver(points.map(p => ({ atMm: p.inMm, hrc: p.hrc })))
  const wide = slopeOver(points.map(p => ({ atMm: p.acrossMm, hrc: p.hrc })))
  const leaks = byBlade.filter(({ piece }) => packetOf(batch, piece.mark)?.leak)
  const shown = (sd: number | null) => (sd === null ? '—' : `${sd.toFixed(2)} HRC`)
  return (
    <div className="space-y-3 py-2">
      <OvenMap points={points} chamber={oven.chamberMm} />
      <dl className="grid max-w-2xl grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-[14px]">
        <dt className="text-ink-2">Within a blade, one sigma</dt>
        <dd>{shown(spread.withinSd)}</dd>
        <dt className="text-ink-2">Between blades beyond that</dt>
        <dd>
          {shown(spread.betweenSd)}
          {spread.pBlades !== null &&
            (spread.pBlades < SURE
              ? `: the blades differ (chance of it by scatter ${(100 * spread.pBlades).toFixed(1)} %)`
              : ': no more than scatter gives')}
        </dd>
        <dt className="text-ink-2">From the door to the back</dt>
        <dd>{slopeWords(deep)}</dd>
        <dt className="text-ink-2">From left to right</dt>
        <dd>{slopeWords(wide)}</dd>
        {leaks.length > 0 && (
          <>
            <dt className="text-ink-2">From packets that leaked</dt>
            <dd>
              {leaks
                .map(
                  ({ piece, values }) => `${piece.mark} ${hrcText(values.reduce((a, b) => a + b, 0) / values.length)}`,
                )
                .join(', ')}
            </dd>
          </>
        )}
      </dl>
      <p className="text-[12.5px] text-ink-2">
        One-way analysis of variance; slopes by least squares with Student’s t. Places are as on the rack at Heat,{' '}
        {formatQuantity(oven.chamberMm.depth, 'length', shop.units)} deep.
      </p>
    </div>
  )
}

const slopeWords = (slope: ReturnType<typeof slopeOver>) =>
  slope === null
    ? 'too few blades, or all in one row'
    : slope.p < SURE
      ? `${slope.per100Mm > 0 ? '+' : '−'}${Math.abs(slope.per100Mm).toFixed(2)} HRC over 100 mm: place matters. Survey the oven.`
      : 'nothing beyond scatter'

/** Blades where they stood, each with its mean. */
function OvenMap({
  points,
  chamber,
}: {
  points: readonly { mark: string; inMm: number; acrossMm: number; hrc: number }[]
  chamber: { width: number; depth: number }
}) {
  return (
    <svg
      viewBox={chamberViewBox(chamber)}
      className="max-h-[170px] w-full"
      preserveAspectRatio="xMinYMid meet"
      role="img"
      aria-label={`Where the blades stood: ${points.map(p => `${p.mark} ${p.hrc.toFixed(1)}`).join(', ')}`}
    >
      <ChamberFrame chamber={chamber}>
        {points.map(p => (
          <text key={p.mark} x={p.inMm} y={p.acrossMm + 4} fontSize={12} textAnchor="middle" className="fill-ink">
            {p.mark} <tspan fontWeight={650}>{p.hrc.toFixed(1)}</tspan>
          </text>
        ))}
      </ChamberFrame>
    </svg>
  )
}
