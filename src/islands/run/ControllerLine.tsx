import type { Batch } from '../../core/shop/batch'
import { noCableWords, noDeviceWords, noSimulatedWords } from '../../words/oven'
import { useConnecting } from '../batch/use-connecting'
import { useController } from '../batch/use-controller'
import { useShopNow } from '../shop-context'

/** The oven's controller on the line: where it is heard, its display decides, and the model stands back. */
export function ControllerLine({ batch }: { batch: Batch }) {
  const shop = useShopNow()
  const { session, disconnect } = useController(batch.id)
  const { simulated, cable, refused } = useConnecting(batch.id)
  const preset = shop.ovens.find(oven => oven.id === batch.ovenId)?.preset ?? 'medium'
  const box = 'min-h-[72px] border-2 border-soot-rule px-4 text-large text-bone'
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
          {simulated && (
            <button type="button" className={box} onClick={() => simulated(preset)}>
              Connect the simulated controller
            </button>
          )}
          {cable && (
            <button type="button" className={box} onClick={cable}>
              Connect a controller on a cable …
            </button>
          )}
          <span className="text-lead text-bone-2">
            Never leave a hot oven to a program alone. {!simulated && noSimulatedWords} {!cable && noCableWords}
          </span>
        </>
      )}
      {refused && <span role="alert">{noDeviceWords(refused)}</span>}
    </div>
  )
}
