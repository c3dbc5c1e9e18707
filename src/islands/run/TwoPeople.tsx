import type { Helper } from '../../core/run/practice-helper'
import type { Batch } from '../../core/shop/batch'
import type { RunStep } from '../../core/shop/run'
import { roleName, roleWords } from '../../words/cues'
import { helperWords } from '../../words/drill'

interface Props {
  readonly step: RunStep
  readonly batch: Batch
  readonly action: string
  /** Who stands at the plates in a practice; absent in the shop. */
  readonly helper: Helper | undefined
  readonly nowS: number
  /** Notes that this board is left on purpose. */
  readonly onLeave: () => void
}

/** Two lines for two people: who pulls, and who stands at the plates. */
export function TwoPeople({ step, batch, action, helper, nowS, onLeave }: Props) {
  const words = roleWords(step, { action }, batch)
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-8 text-large">
      <dl className="grid flex-1 gap-x-8 sm:grid-cols-2">
        {(['oven', 'plates'] as const).map(role => (
          <div key={role} className="flex gap-3">
            <dt className="text-bone-2">{roleName(role)}:</dt>
            <dd>
              {role === 'plates' && helper && `${helperWords(helper, batch, nowS)} `}
              {words[role]}
            </dd>
          </div>
        ))}
      </dl>
      <a
        className="inline-flex min-h-touch items-center text-lead text-bone-2 underline"
        href="?helper"
        onClick={onLeave}
      >
        Only the plates on this screen
      </a>
    </div>
  )
}
