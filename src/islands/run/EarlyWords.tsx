import type { RunStep } from '../../core/shop/run'
import { useSay } from '../../ui/Units'
import { wantedC } from './use-confirm'
import type { RunOven } from './use-run-oven'

/** Answers an early press: by the model the person at the display knows better, if asked. */
export function EarlyWords({ step, oven: { shownBy, known } }: { step: RunStep; oven: RunOven }) {
  const say = useSay()
  const wanted = wantedC(step)
  return shownBy === 'model' && wanted !== null && known.shownC !== null
    ? `It should show ${say.t(known.shownC)} now. Does yours show ${say.t(wanted)}? Press again`
    : 'Not yet. Press again to go on all the same'
}
