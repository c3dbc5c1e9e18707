import { useCallback, useSyncExternalStore } from 'react'
import { type ControllerSession, type ControllerState, openController } from '../../devices/controller-session'
import type { LinePort } from '../../devices/line-port'

/** Controllers that are listened to, by batch: they go on while another bench is looked at. */
const sessions = new Map<string, ControllerSession>()
const watchers = new Set<() => void>()
const changed = () => {
  for (const watcher of watchers) watcher()
}

interface HeardController {
  /** Null while none is connected. */
  readonly session: ControllerSession | null
  readonly state: ControllerState | null
  readonly connect: (port: LinePort, simulated: boolean) => void
  readonly disconnect: () => void
}

/** The controller that is connected for a batch, and what it says. */
export function useController(batchId: string): HeardController {
  const subscribe = useCallback(
    (listener: () => void) => {
      let unhear = sessions.get(batchId)?.subscribe(listener)
      const watcher = () => {
        unhear?.()
        unhear = sessions.get(batchId)?.subscribe(listener)
        listener()
      }
      watchers.add(watcher)
      return () => {
        unhear?.()
        watchers.delete(watcher)
      }
    },
    [batchId],
  )
  const state = useSyncExternalStore(
    subscribe,
    () => sessions.get(batchId)?.state() ?? null,
    () => null,
  )
  const connect = useCallback(
    (port: LinePort, simulated: boolean) => {
      sessions.set(batchId, openController(port, simulated))
      changed()
    },
    [batchId],
  )
  const disconnect = useCallback(() => {
    void sessions.get(batchId)?.close()
    sessions.delete(batchId)
    changed()
  }, [batchId])
  return { session: sessions.get(batchId) ?? null, state, connect, disconnect }
}
