import { createListeners, type LinePort } from './line-port'

/** A stand-in device in the page itself, over the same interface as one on a cable. */
export function openLocalPort(name: string, handle: (line: string) => string): LinePort {
  const listeners = createListeners()
  return {
    name,
    send: async line => handle(line),
    onLine: listener => listeners.add(listener),
    close: async () => undefined,
  }
}
