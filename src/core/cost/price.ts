import { type Figure, figure } from '../codes/figure'

/** Returns the cost of an amount at a price per unit, or null without a price. */
export const costAt = (amount: number, price: number | undefined): number | null =>
  price === undefined || price === 0 ? null : amount * price

/** Returns the cost of the energy of a heat at the shop's price per kWh; its value is null without a price. */
export const heatCost = (energyKWh: number, pricePerKWh: number | undefined): Figure =>
  figure('heat-cost', costAt(energyKWh, pricePerKWh), 'money', {})
