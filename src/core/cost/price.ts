/** Returns the cost of an amount at a price per unit; null without a price. */
export const costAt = (amount: number, price: number | undefined): number | null =>
  price === undefined || price === 0 ? null : amount * price
