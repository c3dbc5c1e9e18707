import { heatingAgain } from '../../core/run/after-cut'
import { runSecondsAt } from '../../core/run/clock'
import { lastUndone } from '../../core/run/live-events'
import { arrivalOf, type OvenKnown, type RunState } from '../../core/run/run-state'
import type { Run, RunEvent } from '../../core/shop/run'
import type { Incident, SafePoint, StopReason } from '../../data/incidents'
import { addRemark, changeRun, logEvents } from '../../store/runs'
import { screenName } from '../../store/shared-role'
import { newId } from '../batch/edit'

/** When something was pressed: a new event's id and its second on the run's clock. */
const momentOf = (run: Run, atMs: number) => {
  const on = screenName()
  return { id: newId(), atS: runSecondsAt(run.clock, atMs), ...(on !== null && { on }) }
}

/** Confirms the present step at the instant it was pressed. `shownC`: what the display must have shown for it, °C, where it says more than the model. */
export function confirmStep(
  run: Run,
  { step, next, confirmed }: RunState,
  arrivedS: OvenKnown['arrivedS'],
  { atMs, shownC }: { readonly atMs: number; readonly shownC: number | null },
) {
  if (!step) return
  const moment = momentOf(run, atMs)
  const blade = step.kind === 'pull' ? run.blades.find(one => one.bladeId === step.bladeIds[0]) : undefined
  const arrived = blade ? arrivalOf(blade, confirmed, arrivedS) : null
  const soaked = arrived === null || arrived > moment.atS ? {} : { soakedS: moment.atS - arrived }
  const events: RunEvent[] = [
    ...(shownC === null ? [] : [{ ...moment, id: newId(), kind: 'shows', c: shownC, by: 'hand' } as const]),
    { ...moment, kind: 'confirm', stepId: step.id, ...soaked },
  ]
  return changeRun(run.id, stored => ({
    ...stored,
    events: [...stored.events, ...events],
    endedAt: next === null ? new Date(atMs).toISOString() : stored.endedAt,
  }))
}

/** Takes back what was done last, by name: what another screen adds in the same moment stays. */
export const takeBack = (run: Run) => {
  const last = lastUndone(run.events)
  return logEvents(run.id, [{ ...momentOf(run, Date.now()), kind: 'take-back', ...(last && { of: last.id }) }])
}

export const addMinutes = (run: Run, stepId: string, minutes: number) =>
  logEvents(run.id, [{ ...momentOf(run, Date.now()), kind: 'add-minutes', stepId, minutes }])

export const logShown = (run: Run, c: number, by: 'hand' | 'controller') =>
  logEvents(run.id, [{ ...momentOf(run, Date.now()), kind: 'shows', c, by }])

export const logRemark = (run: Run, text: string) =>
  addRemark(run.id, { ...momentOf(run, Date.now()), kind: 'remark', text })

export const logIncident = (
  run: Run,
  of: {
    readonly incident: Incident
    readonly bladeIds: readonly string[]
    readonly seconds: number
    readonly text: string
    readonly stillOff?: true
  },
) => logEvents(run.id, [{ ...momentOf(run, Date.now()), kind: 'incident', ...of, bladeIds: [...of.bladeIds] }])

/** Notes that the oven heats again: what was still off has passed. */
export const logHeatsAgain = (run: Run) => {
  const { atS } = momentOf(run, Date.now())
  return changeRun(run.id, stored => ({ ...stored, events: [...heatingAgain(stored.events, atS)] }))
}

/** Says of a cut of power how it goes on. */
export const answerCut = (run: Run, incidentId: string, afterCut: 'go-on' | 'soak-anew') =>
  changeRun(run.id, stored => ({
    ...stored,
    events: stored.events.map(event =>
      event.kind === 'incident' && event.id === incidentId ? { ...event, afterCut } : event,
    ),
  }))

/** Ends a run before its end: what was done stays done. */
export const stopRun = (
  run: Run,
  of: { readonly reason: StopReason; readonly safe: readonly SafePoint[]; readonly text: string },
) =>
  changeRun(run.id, stored => ({
    ...stored,
    endedAt: new Date().toISOString(),
    events: [...stored.events, { ...momentOf(stored, Date.now()), kind: 'stop', ...of, safe: [...of.safe] }],
  }))
