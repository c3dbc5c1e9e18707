/** Set-up questions of the first hour, in order; unanswered ones use typical values. */
export const SETUP_STEPS = ['units', 'oven', 'plates', 'cold', 'tester', 'prices'] as const
export type SetupStep = (typeof SETUP_STEPS)[number]
