import { AMBIENT_C, type ChamberModel, holdingShare, stepChamber } from '../core/oven/chamber'
import type { OvenController, OvenEvent } from '../core/oven/controller'

const STEP_S = 2
/** Proportional band of the stand-in controller, K. */
const BAND_K = 12

/**
 * A stand-in for an oven and its controller: the single-node chamber under a proportional controller. It is a pure
 * function of its events and the clock, so a reload finds it where it was.
 */
export function createSimulatedOven(model: ChamberModel): OvenController {
  let events: readonly OvenEvent[] = []
  let fresh = start()

  function start() {
    return { atS: 0, chamberC: AMBIENT_C, setC: 0, steelKg: 0, nextEvent: 0 }
  }

  function step(state: typeof fresh) {
    for (let event = events[state.nextEvent]; event && event.atS <= state.atS; event = events[++state.nextEvent]) {
      if (event.kind === 'set') state.setC = event.setC
      else if (event.kind === 'other-oven') {
        state.chamberC = AMBIENT_C
        state.steelKg = 0
      } else {
        state.chamberC = Math.max(AMBIENT_C, state.chamberC - event.dropK)
        state.steelKg = event.steelInKg
      }
    }
    const share =
      state.setC <= 0 || state.chamberC > state.setC + BAND_K
        ? 0
        : Math.min(1, Math.max(0, holdingShare(model, state.setC) + (state.setC - state.chamberC) / BAND_K))
    state.chamberC = stepChamber(model, state.chamberC, share, state.steelKg, STEP_S)
    state.atS += STEP_S
  }

  return {
    tell(given) {
      const extended = events.every((event, i) => JSON.stringify(event) === JSON.stringify(given[i]))
      const late = given.slice(events.length).some(event => event.atS < fresh.atS)
      events = given
      if (!extended || late) fresh = start()
    },
    read(atS) {
      if (atS + STEP_S < fresh.atS) fresh = start()
      while (fresh.atS < atS) step(fresh)
      return { indicatedC: fresh.chamberC, setC: fresh.setC }
    },
  }
}
