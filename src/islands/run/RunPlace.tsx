import { useState } from 'react'
import { buildRunSteps, buildTemperRun } from '../../core/plan/run-steps'
import { tempersWaiting } from '../../core/plan/tempers-done'
import { bladesOf, countOf, steelKgOf } from '../../core/plan/tray'
import type { Batch, Run, RunStep, Workshop } from '../../core/record/schemas'
import { CAUTIONS, DEFER } from '../../data/cautions'
import { PACE } from '../../data/pace'
import { useBatch, useRunsOf } from '../../store/hooks'
import { addRun } from '../../store/records'
import { Prose } from '../../ui/Units'
import { coldAmount } from '../batch/benches/cold/cold-amount'
import { newId } from '../batch/edit'
import { Place } from '../Place'
import { RunDone } from './RunDone'
import { RunView } from './RunView'
import { usePullGaps } from './use-pull-gaps'

export default function RunPlace({ batchId }: { batchId: string }) {
  return <Place>{shop => <LoadedRun batchId={batchId} shop={shop} />}</Place>
}

function LoadedRun({ batchId, shop }: { batchId: string; shop: Workshop }) {
  const batch = useBatch(batchId)
  const runs = useRunsOf(batchId)
  const gaps = usePullGaps(batch, shop)
  const [again, setAgain] = useState<'all' | 'tempers' | null>(null)
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
  const run = runs.at(-1)
  if (run && run.endedAt === null) return <RunView batch={batch} run={run} shop={shop} />
  if (gaps === undefined) return <p className="p-8">Working out the pull list …</p>
  const waiting = tempersWaiting(batch, runs)
  if (run && !again) return <RunDone batch={batch} run={run} waiting={waiting} onAgain={setAgain} />
  const steps = again === 'tempers' ? buildTemperRun(waiting, shop, batch) : buildRunSteps(batch, shop, gaps.gaps)
  return (
    <RunStart
      batch={batch}
      steps={steps}
      platesUnknown={gaps.unknown}
      refused={again === 'tempers' ? null : coldRefusal(batch, shop)}
      onStarted={() => setAgain(null)}
    />
  )
}

/** Before anything is hot: what will happen, and whether it is practice. */
/** Why a batch's cold may not be done in this room; null where it may. */
function coldRefusal(batch: Batch, shop: Workshop): string | null {
  const chilled = batch.groups.filter(group => group.route.cold !== null)
  const steelKg = steelKgOf(chilled.flatMap(group => bladesOf(batch, group.id)))
  const refusals = chilled.flatMap(
    group => (group.route.cold && coldAmount(group.route.cold, steelKg, shop)?.air.refused) || [],
  )
  return refusals[0] ?? null
}

interface StartProps {
  readonly batch: Batch
  readonly steps: RunStep[]
  /** Why it may not be run in the shop as planned; null where it may. */
  readonly refused: string | null
  /** The plates could not be worked out: pulls wait the usual clamp. */
  readonly platesUnknown: boolean
  readonly onStarted: () => void
}

function RunStart({ batch, steps, refused, platesUnknown, onStarted }: StartProps) {
  const count = countOf(batch.blades)
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
    if (await addRun(run)) onStarted()
    else setTrouble('The run could not be stored, so it would be lost at the first reload. It was not begun.')
  }
  return (
    <div className="mx-auto max-w-3xl p-6 md:p-10">
      <h1 className="text-[34px] font-semibold">{batch.name}</h1>
      {count === 0 ? (
        <>
          <p className="my-4 text-[20px]">There is no blade in this batch yet.</p>
          <a className="run-action" href={`/batch/${batch.id}/prepare`}>
            Enter blades
          </a>
        </>
      ) : (
        <>
          <p className="my-4 text-[20px]">
            {count} blades, {steps.length} steps. One action at a time; Space or a pedal confirms. The clocks go on if
            this page closes.
          </p>
          <p className="mb-6 border-l-4 border-hot bg-soot-2 p-4 text-[17px]">
            <Prose>{`${CAUTIONS.heat} ${DEFER}`}</Prose>
          </p>
          {platesUnknown && (
            <p role="alert" className="mb-4 text-[17px]">
              How warm the plates get could not be worked out: each packet is clamped {PACE.clampedS} s. Feel the plates
              (gauntlets), and let them rest.
            </p>
          )}
          {refused && (
            <p role="alert" className="mb-4 border-l-4 border-[#ff8a6a] bg-soot-2 p-4 text-[17px]">
              The cold is refused: {refused}{' '}
              <a className="underline" href={`/batch/${batch.id}/cold`}>
                Change it at the Cold bench
              </a>
              . Practice is safe.
            </p>
          )}
          {trouble && (
            <p role="alert" className="mb-4 text-[17px] text-[#ffb8a3]">
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
            className="mt-6 inline-flex min-h-[72px] items-center text-[17px] underline"
            href={`/batch/${batch.id}/heat`}
          >
            Back to the bench
          </a>
        </>
      )}
    </div>
  )
}
