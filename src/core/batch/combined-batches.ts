import type { Batch } from '../shop/batch'

/**
 * Several batches as one, to be run in one go: their blades, lines and steels side by side, in the oven of the first. Everything in
 * them is known by ids, so that each blade stays its own batch's.
 */
export const together = (batches: readonly [Batch, ...Batch[]]): Batch => ({
  ...batches[0],
  groups: batches.flatMap(batch => batch.groups),
  lines: batches.flatMap(batch => batch.lines),
  blades: batches.flatMap(batch => batch.blades),
})

/** The same to be read: a mark that two batches have scribed is told apart by the batch. Only for what is shown. */
export function toldApart(batches: readonly [Batch, ...Batch[]]): Batch {
  const counts = new Map<string, number>()
  for (const { lines } of batches) for (const { mark } of lines) counts.set(mark, (counts.get(mark) ?? 0) + 1)
  const named = batches.map(batch => ({
    ...batch,
    lines: batch.lines.map(line =>
      (counts.get(line.mark) ?? 0) > 1 ? { ...line, mark: `${batch.name.split(' ')[0]} ${line.mark}` } : line,
    ),
  }))
  const [first, ...rest] = named
  return first ? { ...together([first, ...rest]), name: nameOf(batches) } : together(batches)
}

const nameOf = ([first, ...others]: readonly [Batch, ...Batch[]]): string =>
  others.length === 0 ? first.name : `${first.name} and ${others.length} more`
