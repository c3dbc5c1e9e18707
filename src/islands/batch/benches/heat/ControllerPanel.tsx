import { useState } from 'react'
import type { Segment } from '../../../../core/oven/programme'
import type { Load } from '../../../../core/plan/tray'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import { hasSerial, openSerialPort } from '../../../../devices/serial-port'
import { openSimulatedPort } from '../../../../devices/simulated-port'
import { newId } from '../../edit'
import { useController } from '../../use-controller'
import { ConnectedController } from './ConnectedController'

interface Props {
  readonly batch: Batch
  readonly load: Load
  readonly segments: readonly Segment[]
  readonly oven: Oven
  readonly shop: Workshop
}

/** A controller on the line: the simulated one that ships, or one on a cable where the browser has Web Serial. */
export default function ControllerPanel({ batch, load, segments, oven, shop }: Props) {
  const { session, state, connect, disconnect } = useController(batch.id)
  const [refused, setRefused] = useState<string | null>(null)
  const openSerial = () =>
    openSerialPort().then(
      line => connect(line, false),
      error => setRefused(`No device: ${error instanceof Error ? error.message : 'none was chosen'}.`),
    )
  if (session && state)
    return (
      <ConnectedController
        batch={batch}
        load={load}
        segments={segments}
        oven={oven}
        shop={shop}
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
          onClick={() => connect(openSimulatedPort(newId(), oven.preset), true)}
        >
          Connect the simulated controller
        </button>
        {hasSerial() && (
          <button type="button" className="btn" onClick={() => void openSerial()}>
            One on a cable …
          </button>
        )}
      </div>
      <p className="mt-2 max-w-2xl text-[12.5px] text-ink-2">
        The simulated one is a stand-in that ships with the application: nothing gets hot. A real one speaks the line
        protocol of docs/devices.md{hasSerial() ? '' : '; this browser has no access to a cable'}. Never leave a hot
        oven to a program alone.
      </p>
      {refused && (
        <p role="alert" className="mt-2 text-[13px] text-bad">
          {refused}
        </p>
      )}
    </div>
  )
}
