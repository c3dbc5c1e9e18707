export interface Room {
  readonly m3: number
  readonly airChangesPerH: number
}

/** Chilling gives its gas off within this time, min. Common practice, no published source. */
export const CHILL_MIN = 15
/** Carbon dioxide of outdoor air, as a share. */
export const BACKGROUND_CO2 = 420e-6

/**
 * Share of a gas in a room's air after it was given off evenly over some minutes, 0..1.
 * Well-mixed room: V dC/dt = S(1 − C) + Q(C₀ − C). Over the box, or in a pit, the level is higher than this.
 */
export function gasShareAfter(
  gasM3: number,
  overMin: number,
  room: Room,
  background: number,
  from = background,
): number {
  const source = gasM3 / overMin
  const exchange = (room.m3 * room.airChangesPerH) / 60
  if (source + exchange === 0) return from
  const settles = (source + exchange * background) / (source + exchange)
  return settles + (from - settles) * Math.exp((-(source + exchange) / room.m3) * overMin)
}
