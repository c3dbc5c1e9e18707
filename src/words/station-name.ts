import type { StationName } from '../data/stations'

/** What a station is called; the quench by what the shown steel is quenched in. */
export const labelOf = (station: StationName, oil = false): string =>
  oil && station === 'plates' ? 'Oil' : station.charAt(0).toUpperCase() + station.slice(1)
