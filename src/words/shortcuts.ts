import type { Shortcut, Waiting } from '../core/day/shortcut'

/** Says on Today why a shortcut led no further: several batches wait, or none. */
export function shortcutWords(shortcut: Shortcut, { toTemper, toRun, toRead }: Waiting): string {
  if (shortcut === 'readings')
    return toRead.length > 0
      ? 'Several batches wait for readings: take one below, under Waiting for readings.'
      : 'No batch waits for readings.'
  return toTemper.length + toRun.length > 0
    ? 'Nothing is hot, and several batches could be next: take one below.'
    : 'Nothing is hot, and no batch is ready to run.'
}
