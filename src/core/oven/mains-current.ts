import { type Figure, figure } from '../codes/figure'

/** Returns the current an oven draws at full power: power over voltage (a resistive load). */
export const mainsCurrent = ({ powerW, volts }: { readonly powerW: number; readonly volts: number }): Figure =>
  figure('mains-current', powerW / volts, 'A', {})
