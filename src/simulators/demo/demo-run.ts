import { chamberOf } from '../../core/equipment/chambers'
import { ovenOf } from '../../core/equipment/ovens'
import type { Random } from '../../core/numeric/random'
import { type ChamberModel, coolDownMin } from '../../core/oven/chamber'
import { soakedMinOf } from '../../core/run/record'
import { arrivalOf, type Confirmed, runStateAt } from '../../core/run/run-state'
import { buildRunSteps } from '../../core/run-plan/run-steps'
import type { Batch } from '../../core/shop/batch'
import type { Run, RunEvent, RunStep } from '../../core/shop/run'
import type { Workshop } from '../../core/shop/workshop'

/** A batch whose blades know what they soaked in a run. */
export function withSoaks(batch: Batch, run: Run): Batch {
  const soaks = soakedMinOf(run)
  return {
    ...batch,
    blades: batch.blades.map(blade => {
      const soakedMin = soaks.get(blade.id)
      return soakedMin === undefined ? blade : { ...blade, soakedMin }
    }),
  }
}

/** Time an oven of the demo shop takes to the next temperature, s, about. */
const USUAL_WAIT_S = 2200

/** When the oven that hardened has fallen to what a temper waits for, s; long ago for any other step. */
function fallenS({ wait }: RunStep, confirmed: readonly Confirmed[], oven: ChamberModel | null): number {
  const off = confirmed.find(one => one.step.kind === 'oven-off')
  if (wait?.kind !== 'oven-below' || !off || !oven) return 0
  return off.atS + coolDownMin(oven, off.step.ovenSetC, wait.atMostC) * 60
}

/** A finished run in the log, every step confirmed a little after it was due. */
export function ranOn(batch: Batch, shop: Workshop, random: Random, day: Date): Run {
  const built = buildRunSteps(batch, shop)
  const { steps, blades } = built.ok ? built.value : { steps: [], blades: [] }
  const oven = ovenOf(shop, batch)
  const chamber = oven.ok ? chamberOf(oven.value) : null
  const events: RunEvent[] = []
  for (const [i, step] of steps.entries()) {
    const { sinceS, dueS, confirmed } = runStateAt({ steps, blades, events }, 0)
    const readyS = Math.max(sinceS + (step.wait ? USUAL_WAIT_S : 60), fallenS(step, confirmed, chamber))
    const atS = (dueS ?? readyS) + Math.round(5 + random.uniform() * 40)
    const blade = step.kind === 'pull' ? blades.find(one => one.bladeId === step.bladeIds[0]) : undefined
    const arrivedS = blade ? arrivalOf(blade, confirmed, new Map()) : null
    const soaked = arrivedS === null ? {} : { soakedS: atS - arrivedS }
    events.push({ id: `event-${i + 1}`, atS, kind: 'confirm', stepId: step.id, ...soaked })
  }
  const atS = events.at(-1)?.atS ?? 0
  return {
    id: random.id('run'),
    batchIds: [batch.id],
    startedAt: day.toISOString(),
    endedAt: new Date(day.getTime() + atS * 1000).toISOString(),
    mode: 'shop',
    people: 1,
    clock: [{ realMs: day.getTime(), runS: 0, speed: 1 }],
    steps,
    blades,
    events,
  }
}
