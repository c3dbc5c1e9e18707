import { useEffect, useMemo, useRef } from 'react'
import type { Answer } from '../../core/contract/questions'
import { ovenOf, temperingOvenOf } from '../../core/equipment/ovens'
import { arrivalsOf, type OvenTrack, shownAt, withinFrom } from '../../core/run/follow-oven'
import { type OvenKnown, type RunState, runStateAt } from '../../core/run/run-state'
import type { Batch } from '../../core/shop/batch'
import type { Run, RunStep } from '../../core/shop/run'
import { useAnswer } from '../../workers/use-answer'
import { useController } from '../batch/use-controller'
import { useShopNow } from '../shop-context'
import { logShown } from './run-log'

/** Where what is shown of the oven comes from: its controller, the practice oven, the model of it, or nowhere. */
export type ShownBy = 'controller' | 'practice' | 'model' | 'nobody'

export interface RunOven {
  readonly state: RunState
  readonly known: OvenKnown
  readonly shownBy: ShownBy
  /** Seconds until the oven is as the present step wants it; null where it does not wait for it, or nobody knows. */
  readonly waitS: number | null
  /** The controller was heard and is silent now, for so many seconds. */
  readonly silentS: number | null
  /** The model could not be asked: what is shown is the plan's. */
  readonly modelFailed: boolean
}

/** A reading of the controller is written into the run's log no more often than this, s on its clock. */
const KEEP_READING_S = 120

const TEMPERS: ReadonlySet<RunStep['kind']> = new Set(['temper-cool', 'temper-start', 'temper-in', 'temper-out'])

/** The ovens of a run as the model follows them; undefined while it is worked out, a refusal where it cannot be, null without its ovens. */
function useFollowed(run: Run, batch: Batch) {
  const shop = useShopNow()
  const request = useMemo(() => {
    const [hardening, tempering] = [ovenOf(shop, batch), temperingOvenOf(shop, batch)]
    if (!hardening.ok || !tempering.ok) return null
    const { steps, events, blades, drill, people } = run
    return {
      run: { steps, events: events.filter(event => event.kind !== 'remark'), blades, drill, people },
      hardening: hardening.value,
      tempering: shop.temperingOvenId === null ? null : tempering.value,
    }
  }, [run, batch, shop])
  const answer = useAnswer('run-oven', request)
  return { answer: request ? answer : null }
}

/** Returns the tracks of a run's ovens; null while they are unknown. */
export function useRunTracks(run: Run, batch: Batch): Answer<'run-oven'> | null {
  const { answer } = useFollowed(run, batch)
  return answer?.ok ? answer.value : null
}

/** The oven of a run as it is now: what its controller says, else what its wall model makes of everything that was done to it. */
export function useRunOven(run: Run, batch: Batch, nowS: number): RunOven {
  const { answer } = useFollowed(run, batch)
  const tracks = answer?.ok ? answer.value : null
  const { state: heard } = useController(batch.id)
  // Which oven the step is about rests on the steps alone.
  const present = useMemo(() => runStateAt(run, 0).step, [run])
  const isTempering = present !== null && TEMPERS.has(present.kind) && tracks?.tempering
  const track = tracks ? (isTempering ? tracks.tempering : tracks.hardening) : null
  const silentS = heard?.trouble?.code === 'silent' ? heard.trouble.seconds : null
  const controllerC = heard && silentS === null && !isTempering ? (heard.reading?.shownC ?? null) : null
  const shownC = controllerC ?? (track && shownAt(track, nowS))
  const known: OvenKnown = { shownC, arrivedS: arrivalsOf(tracks?.hardening ?? null) }
  const state = runStateAt(run, nowS, known)
  useKeptReadings(run, controllerC, nowS)
  return {
    state,
    known,
    shownBy: controllerC !== null ? 'controller' : track ? (run.mode === 'practice' ? 'practice' : 'model') : 'nobody',
    waitS: track && waitOf(state, track, nowS),
    silentS,
    modelFailed: answer !== null && answer !== undefined && !answer.ok,
  }
}

function waitOf({ step, oven }: RunState, track: OvenTrack, nowS: number): number | null {
  const wait = step?.wait
  if (!oven || !wait || (wait.kind !== 'oven' && wait.kind !== 'oven-below')) return null
  const leastC = wait.kind === 'oven' ? wait.atLeastC : Number.NEGATIVE_INFINITY
  const mostC = wait.atMostC ?? Number.POSITIVE_INFINITY
  const atS = withinFrom(track, nowS, { leastC, mostC })
  return atS === null ? null : atS - nowS
}

/** Stores display readings of a controller in the run's log now and then, so that the oven's model follows them after a reload. */
function useKeptReadings(run: Run, controllerC: number | null, nowS: number) {
  const keptS = useRef(Number.NEGATIVE_INFINITY)
  useEffect(() => {
    if (controllerC === null || nowS - keptS.current < KEEP_READING_S) return
    keptS.current = nowS
    void logShown(run, controllerC, 'controller')
  }, [run, controllerC, nowS])
}
