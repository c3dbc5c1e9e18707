import { useCallback, useState, useSyncExternalStore } from 'react'
import { createSubscribable } from '../../core/subscribable'
import { type ControllerSession, type ControllerState, openController } from '../../devices/controller-session'
import { hasSerial, openSerialPort } from '../../devices/serial-port'
import { openSimulatedPort } from '../../devices/simulated-port'
import { isServedAsFiles } from '../as-files'
import { newId } from './edit'

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

interface Connecting {
  /** Connects the stand-in, which speaks as a controller of this kind; null where no server of ours runs it. */
  readonly simulated: ((preset: string) => void) | null
  /** Asks for a controller on a cable; null where the browser cannot reach one. */
  readonly cable: (() => void) | null
  /** Why the browser opened none; null: nothing stood in the way. */
  readonly refused: string | null
}

/** Ways to connect a controller for a batch; every bench then shows what it says. */
export function useConnecting(batchId: string): Connecting {
  const [refused, setRefused] = useState<string | null>(null)
  const connect = (session: ControllerSession) => sessions.set(new Map(sessions.get()).set(batchId, session))
  return {
    simulated: isServedAsFiles() ? null : preset => connect(openController(openSimulatedPort(newId(), preset), true)),
    cable: hasSerial()
      ? () =>
          void openSerialPort().then(
            line => connect(openController(line, false)),
            error => setRefused(error instanceof Error ? error.message : 'none was chosen'),
          )
      : null,
    refused,
  }
}
