import { fetchedAhead } from '../fetched-ahead'

/** The line is drawn once a plan is worked out; what draws it is fetched meanwhile. */
export const [HeatLine, fetchHeatLine] = fetchedAhead(() => import('./HeatLine'))
