/** Tables whose rows are joined part by part. Runs are joined by their events. */
export const STAMPED_TABLES = [
  'batches',
  'blades',
  'readings',
  'recipes',
  'grades',
  'logs',
  'pictures',
  'shop',
] as const
export type StampedTable = (typeof STAMPED_TABLES)[number]
