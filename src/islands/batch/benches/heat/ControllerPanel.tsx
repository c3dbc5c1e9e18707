import { useState } from 'react'
import type { Load } from '../../../../core/load/loads'
import type { Segment } from '../../../../core/oven/programme'
import type { Oven } from '../../../../core/shop/oven'
import { openController } from '../../../../devices/controller-session'
import { hasSerial, openSerialPort } from '../../../../devices/serial-port'
import { openSimulatedPort } from '../../../../devices/simulated-port'
import { useBench } from '../../bench-context'
import { newId } from '../../edit'
import { useController } from '../../use-controller'
import { ConnectedController } from './ConnectedController'

interface Props {
  readonly load: Load
  readonly segments: readonly Segment[]
  readonly oven: Oven
}

/** A controller on the line: the simulated one that ships, or one on a cable where the browser has Web Serial. */
export default function ControllerPanel({ load, segments, oven }: Props) {
  const { batch } = useBench()
  const { session, state, connect, disconnect } = useController(batch.id)
  const [refused, setRefused] = useState<string | null>(null)
  const openSerial = () =>
    openSerialPort().then(
      line => connect(openController(line, false)),
      error => setRefused(`No device: ${error instanceof Error ? error.message : 'none was chosen'}.`),
    )
  if (session && state)
    return (
      <ConnectedController
        load={load}
        segments={segments}
        oven={oven}
        session={session}
        state={state}
        disconnect={disconnect}
      />
    )
  return (
    <div className="mt-3 border-t border-rule pt-3">
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-ember"
          onClick={() => connect(openController(openSimulatedPort(newId(), oven.preset), true))}
        >
          Connect the simulated controller
        </button>
        {hasSerial() && (
          <button type="button" className="btn" onClick={() => void openSerial()}>
            Connect a controller on a cable …
          </button>
        )}
      </div>
      <p className="mt-2 max-w-2xl text-note text-ink-2">
        The simulated controller is part of this application: nothing gets hot. A real one must speak the protocol of
        docs/devices.md{hasSerial() ? '' : '; this browser cannot reach a cable'}. Never leave a hot oven to a program
        alone.
      </p>
      {refused && (
        <p role="alert" className="mt-2 text-small text-bad">
          {refused}
        </p>
      )}
    </div>
  )
}
