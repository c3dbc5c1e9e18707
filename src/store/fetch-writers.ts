/**
 * What writes: it checks against every schema and plans anew, which a page needs for nothing it shows first. With it comes what plans
 * a batch or a recipe that begins.
 */
export const importWriters = async () => {
  const [batches, records, beginnings, { suggestedFirst }] = await Promise.all([
    import('./write-batches'),
    import('./write-records'),
    import('../core/new-batch/new-batch'),
    import('../core/new-batch/suggestion'),
  ])
  return { ...batches, ...records, ...beginnings, suggestedFirst }
}
