/** What a maker says of the shop in the first hour, in this order; what is not said yet stands at a usual value. */
export const SETUP_STEPS = ['units', 'oven', 'plates', 'cold', 'tester'] as const
export type SetupStep = (typeof SETUP_STEPS)[number]
