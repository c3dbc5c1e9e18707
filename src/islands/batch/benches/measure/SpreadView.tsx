import { type MeasuredBlades, measuredAt } from '../../../../core/hardness/measured-hardness'
import { readingsOf } from '../../../../core/hardness/readings-of'
import { placesOf } from '../../../../core/load/heat-load'
import { packetOf } from '../../../../core/load/packets'
import { middleOfBladeMm } from '../../../../core/oven/rack'
import { slopeOver, spreadOf } from '../../../../core/rockwell/components'
import type { Stage } from '../../../../core/shop/route'
import { ChamberFrame, chamberViewBox } from '../../../../ui/drawings/ChamberFrame'
import { useSay } from '../../../../ui/Units'
import { hrcText, percentText, type Speaker, signedText } from '../../../../words/speaker'
import { useBench } from '../../bench-context'

interface Props {
  readonly stage: Stage
  readonly measured: MeasuredBlades
}

const SURE = 0.05

/** Within a blade, between blades, and over the oven: a cold corner or a leaking packet shows. */
export default function SpreadView({ stage, measured }: Props) {
  const { batch, readings, shown, blades, loads, oven } = useBench()
  const say = useSay()
  const byBlade = blades
    .filter(b => b.group.id === shown.group.id)
    .flatMap(blade => {
      const hardness = measuredAt(measured, blade.id, stage)
      const values = readingsOf([blade], stage, { readings }).map(r => r.hrc)
      return hardness && values.length > 0 ? [{ blade, values, hrc: hardness.hrc }] : []
    })
  if (byBlade.length < 2)
    return <p className="py-6 text-ink-2">Two blades need readings at this stage before blades can be compared.</p>
  const spread = spreadOf(byBlade.map(b => b.values))
  const places = new Map(
    oven.ok ? loads.flatMap(load => placesOf(load, oven.value).map(place => [place.id, place] as const)) : [],
  )
  const points = byBlade.flatMap(({ blade, hrc }) => {
    const place = places.get(blade.id)
    return place ? [{ mark: blade.mark, inMm: middleOfBladeMm(place, blade.line), acrossMm: place.acrossMm, hrc }] : []
  })
  const deep = slopeOver(points.map(p => ({ atMm: p.inMm, hrc: p.hrc })))
  const wide = slopeOver(points.map(p => ({ atMm: p.acrossMm, hrc: p.hrc })))
  const leaks = byBlade.filter(({ blade }) => packetOf(batch, blade.id)?.leak)
  const scatter = (sd: number | null) => (sd === null ? '—' : `${sd.toFixed(2)} HRC`)
  return (
    <div className="space-y-3 py-2">
      {oven.ok && <OvenMap points={points} chamber={oven.value.chamberMm} />}
      <dl className="grid max-w-2xl grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-body">
        <dt className="text-ink-2">Scatter within a blade (one standard deviation)</dt>
        <dd>{scatter(spread.withinSd)}</dd>
        <dt className="text-ink-2">Difference between blades beyond that</dt>
        <dd>
          {scatter(spread.betweenSd)}
          {spread.pBlades !== null &&
            (spread.pBlades < SURE
              ? `: the blades differ (probability by scatter alone ${percentText(spread.pBlades, 1)})`
              : ': no more than chance gives')}
        </dd>
        <dt className="text-ink-2">From the door to the back</dt>
        <dd>{slopeWords(deep, say)}</dd>
        <dt className="text-ink-2">From left to right</dt>
        <dd>{slopeWords(wide, say)}</dd>
        {leaks.length > 0 && (
          <>
            <dt className="text-ink-2">From packets that leaked</dt>
            <dd>{leaks.map(({ blade, hrc }) => `${blade.mark} ${hrcText(hrc)}`).join(', ')}</dd>
          </>
        )}
      </dl>
      <p className="text-note text-ink-2">
        One-way analysis of variance; slopes by least squares with Student’s t. Places are as on the rack at Heat
        {oven.ok && `, ${say.length(oven.value.chamberMm.depth)} deep`}.
      </p>
    </div>
  )
}

const slopeWords = (slope: ReturnType<typeof slopeOver>, say: Speaker) =>
  slope === null
    ? 'too few blades, or all in one row'
    : slope.p < SURE
      ? `${signedText(slope.per100Mm, 2)} HRC over ${say.length(100)}: place matters. Survey the oven.`
      : 'no more than scatter'

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
          <text key={p.mark} x={p.inMm} y={p.acrossMm + 4} fontSize={13} textAnchor="middle" className="fill-ink">
            {p.mark} <tspan fontWeight={650}>{p.hrc.toFixed(1)}</tspan>
          </text>
        ))}
      </ChamberFrame>
    </svg>
  )
}
