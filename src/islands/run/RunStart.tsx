import { useState } from 'react'
import { countOf } from '../../core/batch/tray'
import { type AirRefused, caution } from '../../core/codes/caution'
import type { RunPlan } from '../../core/run-plan/run-steps'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { CAUTIONS, DEFER } from '../../data/cautions'
import { DRILL_LEVELS, type DrillLevel } from '../../data/drill'
import { noteOwn } from '../../store/keeping'
import { addRun } from '../../store/runs'
import { randomBelow } from '../../ui/random'
import { useSay } from '../../ui/Units'
import { cautionWords } from '../../words/cautions'
import { LEVEL_WORDS } from '../../words/drill'
import { bladesBySteel, counted } from '../../words/lists'
import { inUnits } from '../../words/marked'
import { problemWords } from '../../words/problems'
import { newId } from '../batch/edit'
import { fetchRunView } from './fetch-run-view'

interface Props {
  /** All that is to be run, as one batch. */
  readonly batch: Batch
  readonly batchIds: readonly string[]
  readonly mode: Run['mode']
  readonly plan: RunPlan
  readonly isOldPlan: boolean
  /** Why it may not be run in the shop as planned; null where it may. */
  readonly refused: AirRefused | null
  readonly people: 1 | 2
  readonly onPeople: (people: 1 | 2) => void
  /** Batches that can be run with it. */
  readonly others: readonly Batch[]
  readonly onWith: (batchId: string) => void
  readonly onStarted: () => void
}

/** Practice goes this much faster than life until it is told otherwise. */
const PRACTICE_SPEED = 60
/** Practices with surprises differ in as many ways. */
const SEEDS = 1e9

/** Before anything is hot: what will happen, with whom, and whether it is practice. */
export default function RunStart(props: Props) {
  const { batch, mode, plan, refused } = props
  const say = useSay()
  const count = countOf(batch)
  const [trouble, setTrouble] = useState<string | null>(null)
  const [level, setLevel] = useState<0 | DrillLevel>(0)
  const begin = async () => {
    try {
      await fetchRunView()
    } catch {
      setTrouble('What leads the run could not be fetched from the server, so it was not begun. Load this page again.')
      return
    }
    const now = Date.now()
    const { saved, problems } = await addRun({
      id: newId(),
      batchIds: [...props.batchIds],
      startedAt: new Date(now).toISOString(),
      endedAt: null,
      mode,
      people: props.people,
      ...(level === 0 ? {} : { drill: { level, seed: randomBelow(SEEDS) } }),
      clock: [{ realMs: now, runS: 0, speed: mode === 'practice' ? PRACTICE_SPEED : 1 }],
      steps: plan.steps,
      blades: plan.blades,
      events: [],
    })
    // A hot run is somebody's work, in a demo workshop too: gone, it is missed.
    if (saved && mode === 'shop') noteOwn(true)
    if (saved) props.onStarted()
    else setTrouble([...problems.map(found => problemWords(found, say)), 'It was not begun.'].join(' '))
  }
  if (count === 0)
    return (
      <div className="mx-auto w-full max-w-4xl p-6 md:p-10">
        <h1 className="text-figure-small font-semibold">{batch.name}</h1>
        <p className="my-4 text-heading">There is no blade in this batch yet.</p>
        <a className="run-action" href={`/batch/${batch.id}/prepare`}>
          Enter blades
        </a>
      </div>
    )
  const isShop = mode === 'shop'
  return (
    <div className="mx-auto w-full max-w-4xl p-6 md:p-10">
      <h1 className="text-figure-small font-semibold">
        {isShop ? '' : 'Practice: '}
        {batch.name}
      </h1>
      <p className="my-4 text-heading">
        {counted(count, 'blade')}, {counted(plan.steps.length, 'step')}. One action at a time; Space, a pedal or a
        presenter’s remote confirms. The clocks go on if this page closes.
        {isShop ? '' : ' Nothing of a practice counts: no blade is run, measured or certified by it.'}
      </p>
      {props.isOldPlan && (
        <p role="alert" className="mb-4 border-l-4 border-[#ff8a6a] bg-soot-2 p-4 text-large">
          The plan cannot be worked out now. This is the one that was worked out last: check blades and temperatures
          against the bench.
        </p>
      )}
      <p className="mb-6 border-l-4 border-hot bg-soot-2 p-4 text-large">{inUnits(`${CAUTIONS.heat} ${DEFER}`, say)}</p>
      {isShop && refused && (
        <p role="alert" className="mb-4 border-l-4 border-[#ff8a6a] bg-soot-2 p-4 text-large">
          The cold is refused: {cautionWords(caution('air-refused', refused), say)}{' '}
          <a className="underline" href={`/batch/${batch.id}/cold`}>
            Change it at the Cold bench
          </a>
          . Practice is safe.
        </p>
      )}
      {trouble && (
        <p role="alert" className="mb-4 text-large text-[#ffb8a3]">
          {trouble}
        </p>
      )}
      <div className="mb-6 flex flex-wrap items-center gap-3 text-large">
        <span className="text-bone-2">Hands:</span>
        {([1, 2] as const).map(people => (
          <button
            key={people}
            type="button"
            aria-pressed={props.people === people}
            className={`min-h-[72px] border-2 px-4 ${props.people === people ? 'border-hot font-semibold' : 'border-soot-rule text-bone-2'}`}
            onClick={() => props.onPeople(people)}
          >
            {people === 1 ? 'one pair, yours' : 'two: one at the oven, one at the plates'}
          </button>
        ))}
      </div>
      {!isShop && (
        <div className="mb-6 flex flex-wrap items-center gap-3 text-large">
          <span className="text-bone-2">Surprises:</span>
          {([0, ...DRILL_LEVELS] as const).map(one => (
            <button
              key={one}
              type="button"
              aria-pressed={level === one}
              className={`min-h-[72px] border-2 px-4 text-left ${level === one ? 'border-hot font-semibold' : 'border-soot-rule text-bone-2'}`}
              onClick={() => setLevel(one)}
            >
              {one === 0 ? 'none' : `Level ${one}`}
            </button>
          ))}
          <span className="basis-full text-lead text-bone-2">
            {level === 0 ? 'The practice goes as planned.' : `Hidden until they happen: ${LEVEL_WORDS[level]}.`}
          </span>
        </div>
      )}
      {props.others.length > 0 && (
        <fieldset className="mb-6 text-large">
          <legend className="mb-2 text-bone-2">Run together with</legend>
          <div className="grid gap-2">
            {props.others.map(other => (
              <label key={other.id} className="flex min-h-[72px] items-center gap-4 border-2 border-soot-rule px-4">
                <input
                  type="checkbox"
                  className="h-6 w-6 accent-hot"
                  checked={props.batchIds.includes(other.id)}
                  onChange={() => props.onWith(other.id)}
                />
                <span>
                  {other.name} <span className="text-bone-2">{bladesBySteel(other)}</span>
                </span>
              </label>
            ))}
          </div>
        </fieldset>
      )}
      <div className="grid gap-4 sm:grid-cols-2">
        <button type="button" className="run-action" disabled={isShop && refused !== null} onClick={() => void begin()}>
          {isShop ? 'Run in the shop' : 'Practice'}
          <small>{isShop ? 'you read your own oven; real time' : 'on the simulated oven, speed up to 600×'}</small>
        </button>
        <a className="run-action run-action-quiet" href={isShop ? `/practice/${batch.id}` : `/run/${batch.id}`}>
          {isShop ? 'Practice first' : 'To the real run'}
          <small>{isShop ? 'on the simulated oven; nothing of it counts' : 'you read your own oven; real time'}</small>
        </a>
      </div>
      <a className="mt-6 inline-flex min-h-[72px] items-center text-large underline" href={`/batch/${batch.id}/heat`}>
        Back to the bench
      </a>
    </div>
  )
}
