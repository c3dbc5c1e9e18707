import { useCallback, useSyncExternalStore } from 'react'
import { createSubscribable } from '../../core/subscribable'
import type { ControllerSession, ControllerState } from '../../devices/controller-session'

/** Controllers that are listened to, by batch: they go on while another bench is looked at. */
const sessions = createSubscribable<ReadonlyMap<string, ControllerSession>>(new Map())

interface HeardController {
  /** Null while none is connected. */
  readonly session: ControllerSession | null
  readonly state: ControllerState | null
  readonly disconnect: () => void
}

/** The controller that is connected for a batch, and what it says. */
export function useController(batchId: string): HeardController {
  const subscribe = useCallback(
    (listener: () => void) => {
      let unhear = sessions.get().get(batchId)?.subscribe(listener)
      const unwatch = sessions.subscribe(() => {
        unhear?.()
        unhear = sessions.get().get(batchId)?.subscribe(listener)
        listener()
      })
      return () => {
        unhear?.()
        unwatch()
      }
    },
    [batchId],
  )
  const state = useSyncExternalStore(
    subscribe,
    () => sessions.get().get(batchId)?.state() ?? null,
    () => null,
  )
  const disconnect = useCallback(() => {
    const next = new Map(sessions.get())
    void next.get(batchId)?.close()
    next.delete(batchId)
    sessions.set(next)
  }, [batchId])
  return { session: sessions.get().get(batchId) ?? null, state, disconnect }
}

/** Begins to listen to a controller for a batch; every bench shows what it says. */
export const listenTo = (batchId: string, session: ControllerSession) =>
  sessions.set(new Map(sessions.get()).set(batchId, session))
