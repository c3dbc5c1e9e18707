/** A device that speaks in lines: what every adapter is, real or simulated. */
export interface LinePort {
  readonly name: string
  /** Sends one line and gives the answer to it. Rejects when the device is gone or silent. */
  send(line: string): Promise<string>
  /** Calls back for every line the device sends by itself; returns how to stop. */
  onLine(listener: (line: string) => void): () => void
  close(): Promise<void>
}

/** Keeps listeners, for adapters. */
export function createListeners() {
  const listeners = new Set<(line: string) => void>()
  return {
    add(listener: (line: string) => void) {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    tell(line: string) {
      for (const listener of listeners) listener(line)
    },
  }
}
