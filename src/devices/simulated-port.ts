import { createListeners, type LinePort } from './line-port'

/** The stand-in controller on this machine's own server: lines by POST, readings by server-sent events. */
export function openSimulatedPort(session: string, oven: string): LinePort {
  const listeners = createListeners()
  let source: EventSource | null = null
  let isClosed = false
  const send = async (line: string): Promise<string> => {
    const response = await fetch('/api/oven-controller', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ session, line, oven }),
    })
    if (!response.ok) throw new Error(`the controller answered ${response.status}`)
    return String(((await response.json()) as { reply: unknown }).reply)
  }
  // A line makes the session; only then is there something to listen to.
  void send('ID?')
    .then(() => {
      if (isClosed) return
      source = new EventSource(`/api/oven-controller?session=${session}`)
      source.onmessage = event => listeners.tell(String(event.data))
    })
    .catch(() => {
      // The first line that is sent on purpose says that the controller is not there.
    })
  return {
    name: 'Simulated controller',
    send,
    onLine: listener => listeners.add(listener),
    async close() {
      isClosed = true
      source?.close()
    },
  }
}
