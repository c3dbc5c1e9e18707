/** Says on Today why a shortcut led no further: several batches wait, or none. */
export function shortcutWords(
  shortcut: 'run' | 'readings',
  {
    toTemper,
    toRun,
    toRead,
  }: { readonly toTemper: readonly string[]; readonly toRun: readonly string[]; readonly toRead: readonly string[] },
): string {
  if (shortcut === 'readings')
    return toRead.length > 0
      ? 'Several batches wait for readings: take one below, under Waiting for readings.'
      : 'No batch waits for readings.'
  return toTemper.length + toRun.length > 0
    ? 'Nothing is hot, and several batches could be next: take one below.'
    : 'Nothing is hot, and no batch is ready to run.'
}
