export type ColdWay = 'freezer' | 'dry-ice' | 'liquid-nitrogen'

/** What makes a blade so cold, by the temperature asked for, °C: a freezer, dry ice, or liquid nitrogen. */
export const coldWay = (toC: number): ColdWay => (toC > -40 ? 'freezer' : toC > -120 ? 'dry-ice' : 'liquid-nitrogen')

/** What the usual ways of cooling on come to, °C. */
export const COLD_C: Readonly<Record<ColdWay, number>> = { freezer: -18, 'dry-ice': -75, 'liquid-nitrogen': -196 }
