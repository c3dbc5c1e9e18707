import type { StationName } from '../data/stations'

/** Returns the name of a station; the quench by the shown steel's medium. */
export const labelOf = (station: StationName, oil = false): string =>
  oil && station === 'plates' ? 'Oil' : station.charAt(0).toUpperCase() + station.slice(1)
