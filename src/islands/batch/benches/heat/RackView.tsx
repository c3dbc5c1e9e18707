import { useMemo, useState } from 'react'
import { checkRack, type RackPlace } from '../../../../core/oven/rack'
import { newestSurvey } from '../../../../core/oven/survey'
import { type HeatAnswer, packetsOf, placesOf, zoneOf } from '../../../../core/plan/heat-load'
import type { Load } from '../../../../core/plan/tray'
import { foilMarkLine } from '../../../../core/plan/words'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import type { Result } from '../../../../core/result'
import { formatDifference, formatQuantity } from '../../../../core/units/quantity'
import { editBatch } from '../../../../store/batches'
import { RackBoard } from '../../../../ui/drawings/RackBoard'
import { Prose } from '../../../../ui/Units'

interface Props {
  readonly batch: Batch
  readonly load: Load
  readonly oven: Oven
  readonly shop: Workshop
  /** What the wall model says of this load; undefined while it is computed. */
  readonly heat: Result<HeatAnswer> | undefined
}

/** Packets on the rack, moved by hand; what is wrong with how they stand; when each kind is there and how long it is to soak. */
export function RackView({ batch, load, oven, shop, heat }: Props) {
  const [dragged, setDragged] = useState<RackPlace | null>(null)
  const packets = useMemo(() => packetsOf(load), [load])
  const places = useMemo(
    () => placesOf(load, oven, batch).map(place => (dragged?.mark === place.mark ? dragged : place)),
    [load, oven, batch, dragged],
  )
  const warnings = checkRack(oven, packets, places)
  const keep = (place: RackPlace) => {
    setDragged(place)
    void editBatch(batch, 'Rack', b => ({
      ...b,
      rack: [
        ...(b.rack ?? []).filter(p => p.mark !== place.mark),
        { ...place, inMm: Math.round(place.inMm), acrossMm: Math.round(place.acrossMm) },
      ],
    })).then(() => setDragged(now => (now === place ? null : now)))
  }
  return (
    <>
      <RackBoard
        chamber={oven.chamberMm}
        packets={packets}
        places={places}
        warned={new Set(warnings.flatMap(w => w.marks))}
        onDrag={setDragged}
        onDrop={keep}
      />
      {warnings.map(w => (
        <p key={w.code} className="mt-1 text-[13px]">
          <strong className="text-bad">{foilMarkLine(w.marks)}</strong> <Prose>{w.message}</Prose>
        </p>
      ))}
      <SoakClocks batch={batch} load={load} oven={oven} shop={shop} places={places} heat={heat} />
      {(batch.rack?.length ?? 0) > 0 && (
        <button
          type="button"
          className="link mt-1 min-h-9 text-[13px]"
          onClick={() => void editBatch(batch, 'Rack arranged', b => ({ ...b, rack: undefined }))}
        >
          Arrange them again
        </button>
      )}
    </>
  )
}

/** By the wall model: when each kind of blade is within 5 °C, and when it may be pulled. */
function SoakClocks({ load, oven, shop, places, heat }: Props & { places: readonly RackPlace[] }) {
  const survey = newestSurvey(oven.evidence)
  if (!heat) return <p className="py-3 text-[13px] text-ink-2">Running the oven …</p>
  if (!heat.ok) return <p className="py-3 text-[13px] text-bad">{heat.problems[0]?.message}</p>
  const { kinds, reachedMin, fromMin, leftOut, cautions } = heat.value
  const minutes = (min: number | null) =>
    min === null ? 'never' : formatQuantity(Math.round(min), 'duration', shop.units)
  const soakOf = (bladeId: string) => load.pieces.find(p => p.blade.id === bladeId)?.group.route.soakMin ?? 0
  return (
    <>
      <table className="sheet mt-2">
        <caption className="mb-1 text-left text-[12.5px] text-ink-2">
          Soak clock of each kind, from oven on, by the wall model
          {fromMin > 0 && `; the load before is out after ${minutes(fromMin)}`}
          {reachedMin !== null && `; the oven itself is there after ${minutes(reachedMin)}`}
        </caption>
        <thead>
          <tr>
            <th>Blades</th>
            <th>Thick</th>
            <th>Sees the chamber</th>
            {survey && <th>Zone</th>}
            <th>Within 5° after</th>
            <th>Pull from</th>
          </tr>
        </thead>
        <tbody>
          {kinds.map(kind => {
            const there = kind.withinFiveCMin
            return (
              <tr key={kind.bladeId}>
                <td className="font-semibold">{foilMarkLine(kind.marks)}</td>
                <td>{formatQuantity(kind.thicknessMm, 'length', shop.units)}</td>
                <td>{Math.round(100 * kind.view)} %</td>
                {survey && <td>{formatDifference(zoneOf(kind, survey, oven, places), shop.units)}</td>}
                <td>{minutes(there)}</td>
                <td className="font-semibold">{there === null ? '—' : minutes(there + soakOf(kind.bladeId))}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {leftOut.length > 0 && (
        <p className="text-[13px]">Not followed, there are too many kinds of blades: {foilMarkLine(leftOut)}.</p>
      )}
      {cautions.map(c => (
        <p key={c.code} className="text-[13px] text-bad">
          {c.message}
        </p>
      ))}
    </>
  )
}
