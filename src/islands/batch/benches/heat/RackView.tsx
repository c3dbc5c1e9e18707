import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react'
import type { Result } from '../../../../core/codes/result'
import { placesOf, rackPacketsOf, zoneOf } from '../../../../core/load/heat-load'
import type { HeatAnswer } from '../../../../core/load/load-heat'
import type { Load } from '../../../../core/load/loads'
import { checkRack, type RackPlace } from '../../../../core/oven/rack'
import { newestSurvey } from '../../../../core/oven/survey'
import type { Oven } from '../../../../core/shop/oven'
import { editBatch } from '../../../../store/batches'
import { RackBoard } from '../../../../ui/drawings/RackBoard'
import { Problems } from '../../../../ui/Problems'
import { useSay } from '../../../../ui/Units'
import { Wide } from '../../../../ui/Wide'
import { cautionWords } from '../../../../words/cautions'
import { marksOf } from '../../../../words/lists'
import { percentText } from '../../../../words/speaker'
import { useBench } from '../../bench-context'
import { editBlade } from '../../edit'
import { useGlow } from '../../use-glow'

interface Props {
  readonly load: Load
  readonly oven: Oven
  /** Wall model of this load; undefined while it is computed. */
  readonly heat: Result<HeatAnswer> | undefined
}

/** Packets on the rack, moved by hand; what is wrong with how they stand; when each kind is there and how long it is to soak. */
export function RackView({ load, oven, heat }: Props) {
  const { batch } = useBench()
  const glow = useGlow()
  const say = useSay()
  const [dragged, setDragged] = useState<RackPlace | null>(null)
  const marks = useMemo(() => new Map(load.blades.map(blade => [blade.id, blade.mark])), [load])
  const packets = useMemo(() => rackPacketsOf(load), [load])
  const places = useMemo(
    () => placesOf(load, oven).map(place => (dragged?.id === place.id ? dragged : place)),
    [load, oven, dragged],
  )
  const marksIn = useCallback((ids: readonly string[]) => marksOf(ids.flatMap(id => marks.get(id) ?? [])), [marks])
  // The packet keeps to the hand; what is said of where it stands follows as it can.
  const said = useDeferredValue(places)
  const warnings = useMemo(() => checkRack(oven, packets, said), [oven, packets, said])
  const keep = (place: RackPlace) => {
    setDragged(place)
    void editBlade(batch, place.id, 'Rack', blade => ({
      ...blade,
      rack: { inMm: Math.round(place.inMm), acrossMm: Math.round(place.acrossMm) },
    })).then(() => setDragged(now => (now === place ? null : now)))
  }
  return (
    <>
      <Wide leastPx={520} label="Rack">
        <RackBoard
          chamber={oven.chamberMm}
          packets={packets.map(packet => ({ ...packet, mark: marks.get(packet.id) ?? '' }))}
          places={places}
          glow={glow}
          warned={new Set(warnings.flatMap(w => w.ids))}
          onDrag={setDragged}
          onDrop={keep}
        />
      </Wide>
      {warnings.map(w => (
        <p key={w.caution.code} className="mt-1 text-small">
          <strong className="text-bad">{marksIn(w.ids)}</strong> {cautionWords(w.caution, say)}
        </p>
      ))}
      <SoakClocks load={load} oven={oven} places={said} heat={heat} marksIn={marksIn} />
      {load.blades.some(blade => blade.record.rack) && (
        <button
          type="button"
          className="link mt-1 min-h-touch text-small"
          onClick={() =>
            void editBatch(batch, 'Rack arranged', b => ({
              ...b,
              blades: b.blades.map(({ rack: _, ...blade }) => blade),
            }))
          }
        >
          Arrange the packets again
        </button>
      )}
    </>
  )
}

interface SoakProps extends Props {
  readonly places: readonly RackPlace[]
  readonly marksIn: (ids: readonly string[]) => string
}

/** By the wall model: when each kind of blade is within 5 °C, and when it may be pulled. */
const SoakClocks = memo(function SoakClocks({ load, oven, places, heat, marksIn }: SoakProps) {
  const say = useSay()
  const survey = newestSurvey(oven.evidence)
  if (!heat) return <p className="py-3 text-small text-ink-2">Running the oven …</p>
  if (!heat.ok) return <Problems of={heat.problems} className="py-3" />
  const { kinds, reachedMin, fromMin, leftOut, cautions } = heat.value
  const minutes = (min: number | null) => (min === null ? 'never' : say.minutes(Math.round(min)))
  const soakOf = (lineId: string) => load.blades.find(b => b.line.id === lineId)?.group.route.soakMin ?? 0
  return (
    <>
      <table className="sheet mt-2">
        <caption className="mb-1 text-left text-note text-ink-2">
          When each kind of blade is at full heat, from oven on
          {fromMin > 0 && `; the load before is out after ${minutes(fromMin)}`}
          {reachedMin !== null && `; the oven itself is there after ${minutes(reachedMin)}`}
        </caption>
        <thead>
          <tr>
            <th>Blades</th>
            <th>Thick</th>
            <th>Heated surface</th>
            {survey && <th>Zone</th>}
            <th>At heat after</th>
            <th>Pull from</th>
          </tr>
        </thead>
        <tbody>
          {kinds.map(kind => {
            const there = kind.withinFiveCMin
            return (
              <tr key={kind.lineId}>
                <td className="font-semibold">{marksIn(kind.bladeIds)}</td>
                <td>{say.length(kind.thicknessMm)}</td>
                <td>{percentText(kind.view)}</td>
                {survey && <td>{say.signed(zoneOf(kind, survey, oven, places))}</td>}
                <td>{minutes(there)}</td>
                <td className="font-semibold">{there === null ? '—' : minutes(there + soakOf(kind.lineId))}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {leftOut.length > 0 && (
        <p className="text-small">Not worked out, as there are too many kinds of blades: {marksIn(leftOut)}.</p>
      )}
      {cautions.map(c => (
        <p key={c.code} className="text-small text-bad">
          {cautionWords(c, say)}
        </p>
      ))}
    </>
  )
})
