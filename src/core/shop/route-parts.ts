import type { PlannedRoute } from './route'

/** Parts of a route that are suggested until the maker sets them. */
export const ROUTE_PARTS = [
  'austenitizeC',
  'soakMin',
  'cold',
  'tempers',
] as const satisfies readonly (keyof PlannedRoute)[]
export type RoutePart = (typeof ROUTE_PARTS)[number]
