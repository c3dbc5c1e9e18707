import type { Run, RunStep } from '../shop/run'

/** Seconds on a run's own clock at a real instant. A practice run may go up to 600 times as fast. */
export function runSecondsAt(clock: Run['clock'], realMs: number): number {
  const leg = [...clock].reverse().find(candidate => candidate.realMs <= realMs) ?? clock[0]
  return leg ? leg.runS + Math.max(0, (realMs - leg.realMs) / 1000) * leg.speed : 0
}

export interface RunState {
  /** The step to be confirmed next; null when all are done. */
  readonly step: RunStep | null
  readonly stepIndex: number
  readonly next: RunStep | null
  /** Run seconds at which the present step began. */
  readonly sinceS: number
  /** Seconds until its timer ends, negative when overdue; null where it does not wait for a clock. */
  readonly remainingS: number | null
  readonly ready: boolean
  readonly inOven: number
  readonly out: number
  /** Confirmed steps with the second they were confirmed at, taken-back ones left out. */
  readonly confirmed: readonly { readonly step: RunStep; readonly atS: number }[]
}

/**
 * Where a run stands at a moment, from its stored events alone: the same after a reload, a crash or a power cut.
 * Without an oven reading (null) a step that waits for the oven leaves the judgement to the person at its display.
 */
export function runStateAt(run: Pick<Run, 'steps' | 'events'>, nowS: number, ovenC: number | null): RunState {
  const confirmed: { step: RunStep; atS: number }[] = []
  const added = new Map<string, number>()
  for (const event of run.events) {
    const step = run.steps[confirmed.length]
    if (event.kind === 'confirm' && step && step.id === event.stepId) confirmed.push({ step, atS: event.atS })
    else if (event.kind === 'take-back') confirmed.pop()
    else if (event.kind === 'add-minutes')
      added.set(event.stepId, (added.get(event.stepId) ?? 0) + (event.minutes ?? 0))
  }
  const stepIndex = confirmed.length
  const step = run.steps[stepIndex] ?? null
  const sinceS = confirmed[stepIndex - 1]?.atS ?? 0
  const wait = step?.wait ?? null
  const remainingS =
    step && wait?.kind === 'seconds' ? sinceS + wait.seconds + (added.get(step.id) ?? 0) * 60 - nowS : null
  const loaded = confirmed.filter(c => c.step.kind === 'load').reduce((sum, c) => sum + c.step.bladeIds.length, 0)
  const out = confirmed.filter(c => c.step.kind === 'pull').reduce((sum, c) => sum + c.step.bladeIds.length, 0)
  return {
    step,
    stepIndex,
    next: run.steps[stepIndex + 1] ?? null,
    sinceS,
    remainingS,
    ready: isReady(),
    inOven: loaded - out,
    out,
    confirmed,
  }

  function isReady(): boolean {
    if (!wait) return true
    if (wait.kind === 'seconds') return (remainingS ?? 0) <= 0
    if (ovenC === null) return true
    return wait.kind === 'oven' ? ovenC >= wait.atLeastC : ovenC <= wait.atMostC
  }
}
