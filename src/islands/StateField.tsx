import { useState } from 'react'
import { stateOf, withState } from '../core/batch/blade-state'
import type { BatchBlade } from '../core/batch/tray'
import type { Batch } from '../core/shop/batch'
import { LONGEST } from '../core/shop/bounds'
import { BLADE_STATES, type BladeState } from '../data/blade-states'
import { editBatch } from '../store/batches'
import { SelectField } from '../ui/PlainFields'
import { stateName, stateWords } from '../words/blade-state'

interface Props {
  readonly batch: Batch
  readonly blade: BatchBlade
  /** Whether the blade's outcome is shown elsewhere beside it. */
  readonly alone?: boolean
}

/** Chooses the state of a blade with its reason, and stores it with its moment. A blade that is out takes no part in later loads and tempers. */
export function StateField({ batch, blade, alone = false }: Props) {
  const { id, mark, record } = blade
  const now = stateOf(record)
  const [next, setNext] = useState<BladeState | null>(null)
  const [why, setWhy] = useState('')
  const keep = () => {
    if (next === null) return
    const sold = next === 'sold'
    const state = {
      is: next,
      at: new Date().toISOString(),
      why: sold ? '' : why.trim(),
      ...(sold && why.trim() ? { to: why.trim() } : {}),
    }
    void editBatch(batch, `${mark} ${stateName(next)}`, b => withState(b, id, state))
    setNext(null)
    setWhy('')
  }
  return (
    <div className="flex flex-wrap items-end gap-3">
      <SelectField
        label={`State of ${mark}`}
        value={next ?? now}
        options={BLADE_STATES.map(state => [state, stateName(state)] as const)}
        onCommit={value => setNext(value === now ? null : (value as BladeState))}
      />
      {next === null ? (
        record.states && !alone && <p className="pb-2 text-small text-ink-2">{stateWords(record)}</p>
      ) : (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={event => {
            event.preventDefault()
            keep()
          }}
        >
          <label className="grid gap-1 text-small">
            {next === 'sold' ? 'To whom, in your own words' : 'Why'}
            <input
              className="field"
              maxLength={next === 'sold' ? LONGEST.buyer : LONGEST.why}
              value={why}
              onChange={event => setWhy(event.target.value)}
            />
          </label>
          <button type="submit" className="btn btn-ember">
            Mark {mark} as {stateName(next)}
          </button>
        </form>
      )}
    </div>
  )
}
