import { useState } from 'react'
import type { Batch } from '../../core/shop/batch'
import { openController } from '../../devices/controller-session'
import { hasSerial, openSerialPort } from '../../devices/serial-port'
import { openSimulatedPort } from '../../devices/simulated-port'
import { newId } from '../batch/edit'
import { useController } from '../batch/use-controller'
import { useShopNow } from '../shop-context'

/** The oven's controller on the line: where it is heard, its display decides, and the model stands back. */
export function ControllerLine({ batch }: { batch: Batch }) {
  const shop = useShopNow()
  const { session, connect, disconnect } = useController(batch.id)
  const [refused, setRefused] = useState<string | null>(null)
  const preset = shop.ovens.find(oven => oven.id === batch.ovenId)?.preset
  const box = 'min-h-[72px] border-2 border-soot-rule px-4 text-large text-bone'
  const openSerial = () =>
    openSerialPort().then(
      line => connect(openController(line, false)),
      error => setRefused(`No device: ${error instanceof Error ? error.message : 'none was chosen'}.`),
    )
  return (
    <div className="flex flex-wrap items-center gap-3">
      {session ? (
        <>
          <span>{session.name} is heard. Its display decides when the oven is there.</span>
          <button type="button" className={box} onClick={disconnect}>
            Disconnect
          </button>
        </>
      ) : (
        <>
          <button
            type="button"
            className={box}
            onClick={() => connect(openController(openSimulatedPort(newId(), preset ?? 'medium'), true))}
          >
            Connect the simulated controller
          </button>
          {hasSerial() && (
            <button type="button" className={box} onClick={() => void openSerial()}>
              Connect a controller on a cable …
            </button>
          )}
          <span className="text-lead text-bone-2">
            Never leave a hot oven to a program alone.{hasSerial() ? '' : ' This browser cannot reach a cable.'}
          </span>
        </>
      )}
      {refused && <span role="alert">{refused}</span>}
    </div>
  )
}
