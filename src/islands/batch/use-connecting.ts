import { useState } from 'react'
import { type ControllerSession, openController } from '../../devices/controller-session'
import { hasSerial, openSerialPort } from '../../devices/serial-port'
import { openSimulatedPort } from '../../devices/simulated-port'
import { isServedAsFiles } from '../as-files'
import { newId } from './edit'
import { listenTo } from './use-controller'

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
  const connect = (session: ControllerSession) => listenTo(batchId, session)
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
