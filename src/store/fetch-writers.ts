import { fetchStamping } from './stamp-edits'

/**
 * Imports the writers, which check against every schema and plan anew; a page needs them for nothing it shows first. With them come the planners of
 * a batch or a recipe that begins.
 */
export const importWriters = async () => {
  const [batches, records, beginnings, { suggestedFirst }] = await Promise.all([
    import('./write-batches'),
    import('./write-records'),
    import('../core/new-batch/new-batch'),
    import('../core/new-batch/suggestion'),
    fetchStamping(),
  ])
  return { ...batches, ...records, ...beginnings, suggestedFirst }
}
