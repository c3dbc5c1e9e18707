import { useState } from 'react'
import { type AirRefused, caution } from '../../core/codes/caution'
import type { Problem } from '../../core/codes/problem'
import { steelKgOf } from '../../core/job/loads'
import { tempersWaiting } from '../../core/job/tempers-done'
import { bladesOf, countOf } from '../../core/job/tray'
import type { Batch } from '../../core/shop/batch'
import type { Run, RunStep } from '../../core/shop/run'
import type { Workshop } from '../../core/shop/workshop'
import { CAUTIONS, DEFER } from '../../data/cautions'
import { useBatch, useRunsOf } from '../../store/hooks'
import { addRun } from '../../store/records'
import { Problems } from '../../ui/Problems'
import { useSay } from '../../ui/Units'
import { cautionWords } from '../../words/cautions'
import { inUnits } from '../../words/marked'
import { problemWords } from '../../words/problems'
import { coldAmount } from '../batch/benches/cold/cold-amount'
import { newId } from '../batch/edit'
import { Place } from '../Place'
import { useShopNow } from '../shop-context'
import { RunDone } from './RunDone'
import { RunView } from './RunView'
import { useRunSteps } from './use-run-steps'

export default function RunPlace({ batchId }: { batchId: string }) {
  return (
    <Place>
      <LoadedRun batchId={batchId} />
    </Place>
  )
}

function LoadedRun({ batchId }: { batchId: string }) {
  const shop = useShopNow()
  const batch = useBatch(batchId)
  const runs = useRunsOf(batchId)
  const [again, setAgain] = useState<'all' | 'tempers' | null>(null)
  const run = runs?.at(-1)
  const isToBegin = runs !== undefined && (!run || (run.endedAt !== null && again !== null))
  const steps = useRunSteps(isToBegin ? batch : null, again === 'tempers' ? runs : null)
  if (batch === undefined || runs === undefined) return <p className="p-8">Reading …</p>
  if (!batch)
    return (
      <p className="p-8">
        There is no such batch in this browser.{' '}
        <a className="link" href="/batches">
          See all batches
        </a>
      </p>
    )
  if (run && run.endedAt === null) return <RunView batch={batch} run={run} />
  if (run && !again) return <RunDone batch={batch} run={run} waiting={tempersWaiting(batch, runs)} onAgain={setAgain} />
  if (steps === undefined) return <p className="p-8">Working out the pull list …</p>
  if (!steps.ok) return <CannotRun batch={batch} problems={steps.problems} />
  return (
    <RunStart
      batch={batch}
      steps={steps.value}
      refused={again === 'tempers' ? null : coldRefusal(batch, shop)}
      onStarted={() => setAgain(null)}
    />
  )
}

/** Without its oven or its grade nothing may be run: why, and where it is mended. */
const CannotRun = ({ batch, problems }: { batch: Batch; problems: readonly Problem[] }) => (
  <div className="mx-auto max-w-3xl p-6 text-large md:p-10">
    <h1 className="text-figure-small font-semibold">{batch.name}</h1>
    <Problems of={problems} className="my-4 !text-[#ffb8a3]" />
    <a className="run-action" href={`/batch/${batch.id}/heat`}>
      To the Heat bench
    </a>
  </div>
)

/** Why a batch's cold may not be done in this room; null where it may. */
function coldRefusal(batch: Batch, shop: Workshop): AirRefused | null {
  const chilled = batch.groups.filter(group => group.route.cold !== null)
  const steelKg = steelKgOf(bladesOf(batch).filter(blade => blade.group.route.cold !== null))
  const refusals = chilled.flatMap(
    group => (group.route.cold && coldAmount(group.route.cold, steelKg, shop)?.air.refused) || [],
  )
  return refusals[0] ?? null
}

interface StartProps {
  readonly batch: Batch
  readonly steps: readonly RunStep[]
  /** Why it may not be run in the shop as planned; null where it may. */
  readonly refused: AirRefused | null
  readonly onStarted: () => void
}

/** Before anything is hot: what will happen, and whether it is practice. */
function RunStart({ batch, steps, refused, onStarted }: StartProps) {
  const say = useSay()
  const count = countOf(batch)
  const [trouble, setTrouble] = useState<string | null>(null)
  const begin = async (mode: Run['mode']) => {
    const now = Date.now()
    const run: Run = {
      id: newId(),
      batchId: batch.id,
      startedAt: new Date(now).toISOString(),
      endedAt: null,
      mode,
      clock: [{ realMs: now, runS: 0, speed: mode === 'practice' ? 60 : 1 }],
      steps,
      events: [],
    }
    const { saved, problems } = await addRun(run)
    if (saved) onStarted()
    else setTrouble([...problems.map(found => problemWords(found, say)), 'It was not begun.'].join(' '))
  }
  return (
    <div className="mx-auto max-w-3xl p-6 md:p-10">
      <h1 className="text-figure-small font-semibold">{batch.name}</h1>
      {count === 0 ? (
        <>
          <p className="my-4 text-heading">There is no blade in this batch yet.</p>
          <a className="run-action" href={`/batch/${batch.id}/prepare`}>
            Enter blades
          </a>
        </>
      ) : (
        <>
          <p className="my-4 text-heading">
            {count} blades, {steps.length} steps. One action at a time; Space or a pedal confirms. The clocks go on if
            this page closes.
          </p>
          <p className="mb-6 border-l-4 border-hot bg-soot-2 p-4 text-large">
            {inUnits(`${CAUTIONS.heat} ${DEFER}`, say)}
          </p>
          {refused && (
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
          <div className="grid gap-4 sm:grid-cols-2">
            <button type="button" className="run-action" onClick={() => void begin('practice')}>
              Practice
              <small>on the simulated oven, up to 600 times as fast</small>
            </button>
            <button
              type="button"
              className="run-action run-action-quiet"
              disabled={refused !== null}
              onClick={() => void begin('shop')}
            >
              Run in the shop
              <small>you read your own oven; real time</small>
            </button>
          </div>
          <a
            className="mt-6 inline-flex min-h-[72px] items-center text-large underline"
            href={`/batch/${batch.id}/heat`}
          >
            Back to the bench
          </a>
        </>
      )}
    </div>
  )
}
