export type ColdWay = 'freezer' | 'dry-ice' | 'liquid-nitrogen'

/** Returns the cooling medium for a temperature in °C: freezer, dry ice or liquid nitrogen. */
export const coldWay = (toC: number): ColdWay => (toC > -40 ? 'freezer' : toC > -120 ? 'dry-ice' : 'liquid-nitrogen')

/** Temperature that each usual cooling medium reaches, °C. */
export const COLD_C: Readonly<Record<ColdWay, number>> = { freezer: -18, 'dry-ice': -75, 'liquid-nitrogen': -196 }
