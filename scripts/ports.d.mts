/** The first free port from one on; what was stepped over is said. */
export function freePort(from: number, host: string): Promise<number>
