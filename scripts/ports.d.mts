/** The first free port from one on; what was stepped over is said. */
export function freePort(from: number, host: string): Promise<number>

/** The port that was used before, kept in a file; rejects where it is taken and no other was asked for. */
export function portToUse(
  host: string,
  options?: { keptIn?: string; wanted?: string | undefined; another?: boolean },
): Promise<number>
