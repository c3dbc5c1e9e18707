import { createListeners, type LinePort } from './line-port'

/** The stand-in controller on this machine's own server: lines by POST, readings by server-sent events. */
export function openSimulatedPort(session: string, oven: string): LinePort {
  const listeners = createListeners()
  const source = new EventSource(`/api/oven-controller?session=${session}&oven=${oven}`)
  source.onmessage = event => listeners.tell(String(event.data))
  return {
    name: 'Simulated controller',
    async send(line) {
      const response = await fetch('/api/oven-controller', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ session, line, oven }),
      })
      if (!response.ok) throw new Error(`the controller answered ${response.status}`)
      return String(((await response.json()) as { reply: unknown }).reply)
    },
    onLine: listener => listeners.add(listener),
    async close() {
      source.close()
    },
  }
}
