import { PACE } from '../../data/pace'
import { bladeKg } from '../oven/chamber'
import type { OvenEvent } from '../oven/controller'
import type { Batch } from '../shop/batch'
import type { Run } from '../shop/run'
import type { Workshop } from '../shop/workshop'
import { runStateAt } from './run-state'
import { bladesOf } from './tray'

/** What the run's confirmations did to the oven: set points as steps began, door openings as packets moved. */
export function ovenEventsOf(
  run: Pick<Run, 'steps' | 'events'>,
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
  shop: Pick<Workshop, 'temperingOvenId'>,
): OvenEvent[] {
  const weight = new Map(bladesOf(batch).map(b => [b.id, bladeKg(b.line)]))
  const events: OvenEvent[] = []
  let steelInKg = 0
  let setC = 0
  let tempering = false
  const setTo = (atS: number, wanted: number) => {
    if (wanted !== setC) events.push({ atS, kind: 'set', setC: wanted })
    setC = wanted
  }
  for (const { step, atS } of runStateAt(run, 0, null).confirmed) {
    if ((step.kind === 'temper-start' || step.kind === 'temper-cool') && shop.temperingOvenId !== null && !tempering) {
      events.push({ atS, kind: 'other-oven' })
      tempering = true
      setC = 0
    }
    const moved = step.bladeIds.reduce((sum, id) => sum + (weight.get(id) ?? 0), 0)
    const dropK = {
      load: PACE.loadDropK,
      pull: PACE.pullDropK,
      'temper-in': PACE.pullDropK,
      'temper-out': PACE.pullDropK,
    }[step.kind as string]
    if (dropK !== undefined && step.bladeIds.length > 0) {
      const comesIn = step.kind === 'load' || step.kind === 'temper-in'
      steelInKg = Math.max(0, steelInKg + (comesIn ? moved : -moved))
      events.push({ atS, kind: 'door', dropK, steelInKg })
    }
    const following = run.steps[run.steps.indexOf(step) + 1]
    setTo(atS, following?.ovenSetC ?? 0)
  }
  return events
}
