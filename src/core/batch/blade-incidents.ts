import type { Incident } from '../../data/incidents'
import { compareInstants } from '../numeric/instants'
import { realMsAt } from '../run/clock'
import { runStateAt } from '../run/run-state'
import type { Run, RunStep } from '../shop/run'

/** Events of a blade in its runs, by the clock of the shop. */
export interface Happened {
  readonly steps: readonly {
    readonly step: RunStep
    readonly at: string
    /** Its moment was corrected by hand after the press. */
    readonly corrected: boolean
  }[]
  readonly incidents: readonly { readonly incident: Incident; readonly at: string; readonly seconds: number }[]
}

/** Returns the events of a blade in the shop: of the newest run that loaded it and the temper runs after. Practice is left out. */
export function happenedTo(bladeId: string, runs: readonly Run[]): Happened {
  const own = runs
    .filter(run => run.mode === 'shop')
    .sort((a, b) => compareInstants(a.startedAt, b.startedAt))
    .map(run => {
      const { confirmed, incidents } = runStateAt(run, 0)
      return {
        run,
        steps: confirmed.filter(({ step }) => step.bladeIds.includes(bladeId)),
        incidents: incidents.filter(one => one.bladeIds.includes(bladeId)),
      }
    })
    .filter(({ steps }) => steps.length > 0)
  const from = own.findLastIndex(({ steps }) => steps.some(({ step }) => step.kind === 'load'))
  const used = from < 0 ? own : own.slice(from)
  const instant = (run: Run, atS: number) => new Date(realMsAt(run.clock, atS)).toISOString()
  return {
    steps: used.flatMap(({ run, steps }) =>
      steps.map(({ step, atS, event }) => ({
        step,
        at: instant(run, atS),
        corrected: event.pressedS !== undefined,
      })),
    ),
    incidents: used.flatMap(({ run, incidents }) =>
      incidents.map(({ incident, atS, seconds }) => ({ incident, at: instant(run, atS), seconds })),
    ),
  }
}
