/** Stations of the Heat Line, in the order of the work. */
export const STATIONS = ['choose', 'prepare', 'wrap', 'heat', 'plates', 'inspect', 'cold', 'temper', 'measure', 'verdict', 'finish', 'prove'] as const
export type StationName = (typeof STATIONS)[number]
