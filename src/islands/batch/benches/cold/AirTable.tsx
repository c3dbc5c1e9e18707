import type { AirInRoom } from '../../../../core/cold/air-in-room'
import { roundTo } from '../../../../core/numeric/round'
import { AIR_LIMIT_SOURCES, AIR_LIMIT_WORDS, airUnit } from '../../../../words/cautions'

/** The room's air against each limit of the workplace, and the air that would keep to them. */
export function AirTable({ air, airChangesPerH }: { air: AirInRoom; airChangesPerH: number }) {
  const shown = (level: number, gas: 'co2' | 'oxygen') =>
    gas === 'co2' ? roundTo(level, 100).toLocaleString('en') : level.toFixed(1)
  return (
    <section className="mt-3">
      <table className="sheet">
        <caption className="mb-1 text-left text-note text-ink-2">
          Air of the room, evenly mixed. It is worse over the box, on the floor and in a pit.
        </caption>
        <thead>
          <tr>
            <th>Limit</th>
            <th>Allowed</th>
            <th>In this room</th>
            <th>Reached after</th>
            <th>Source</th>
          </tr>
        </thead>
        <tbody>
          {air.limits.map(limit => (
            <tr key={limit.name}>
              <td>{AIR_LIMIT_WORDS[limit.name]}</td>
              <td>
                {shown(limit.limit, limit.gas)} {airUnit(limit.gas)}
              </td>
              <td className={limit.kept ? 'font-semibold' : 'font-semibold text-bad'}>
                {shown(limit.level, limit.gas)}
                {limit.kept ? '' : ' over'}
              </td>
              <td>{limit.reachedMin === null ? 'never' : `${Math.round(limit.reachedMin)} min`}</td>
              <td className="text-note text-ink-2">{AIR_LIMIT_SOURCES[limit.name]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-small">
        {air.neededAirChangesPerH === 0
          ? 'Even with the doors shut the air stays within the limits.'
          : Number.isFinite(air.neededAirChangesPerH)
            ? `${air.neededAirChangesPerH} air changes per hour stay within the limits; you have set ${airChangesPerH}. A door open on each side makes about 10 to 20.`
            : 'No ventilation of this room is enough: chill outdoors.'}
      </p>
    </section>
  )
}
