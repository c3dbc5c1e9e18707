import type { Load } from '../../../../core/load/loads'
import type { Segment } from '../../../../core/oven/programme'
import type { Oven } from '../../../../core/shop/oven'
import { noCableWords, noDeviceWords, noSimulatedWords } from '../../../../words/oven'
import { useBench } from '../../bench-context'
import { useConnecting } from '../../use-connecting'
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
  const { session, state, disconnect } = useController(batch.id)
  const { simulated, cable, refused } = useConnecting(batch.id)
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
        {simulated && (
          <button type="button" className="btn btn-ember" onClick={() => simulated(oven.preset)}>
            Connect the simulated controller
          </button>
        )}
        {cable && (
          <button type="button" className="btn" onClick={cable}>
            Connect a controller on a cable …
          </button>
        )}
      </div>
      <p className="mt-2 max-w-2xl text-note text-ink-2">
        {simulated ? 'The simulated controller is part of this application: nothing gets hot.' : noSimulatedWords} A
        real one must speak the protocol of docs/devices.md. {!cable && noCableWords} Never leave a hot oven to a
        program alone.
      </p>
      {refused && (
        <p role="alert" className="mt-2 text-small text-bad">
          {noDeviceWords(refused)}
        </p>
      )}
    </div>
  )
}
