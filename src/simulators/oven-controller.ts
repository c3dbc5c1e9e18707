import {
  type ControllerFault,
  type ControllerReading,
  type ControllerStep,
  readCommand,
  writeReading,
} from '../core/oven/line-protocol'
import { type DetailedOven, type OvenLoad, OvenModel } from '../core/oven/oven-model'
import { followProgramme } from '../core/oven/programme-control'

/** The stand-in holds as many steps as most small controllers. */
const MOST_STEPS = 32
const MOST_C = 1300
const FAST_STEP_S = 1
const SLOW_STEP_S = 10
/** A door left open longer than this is stepped coarsely, s. */
const FAST_FOR_S = 180
/** A sticking relay: what stays on when the controller would throttle. */
const STUCK_SHARE = 0.9

/**
 * A stand-in for an oven with its controller: the wall model under a PI controller, spoken to in the line protocol. Its clock
 * is advanced from outside, so that it runs at any speed and can be tested without waiting.
 */
export function createOvenController(oven: DetailedOven) {
  const model = new OvenModel(oven)
  let expected = 0
  let steps: ControllerStep[] = []
  let follow: ReturnType<typeof followProgramme> | null = null
  let atS = 0
  let power = 0
  let doorOpen = false
  let doorMovedS = Number.NEGATIVE_INFINITY
  let fault: ControllerFault = 'none'
  let speed = 1

  const reading = (): ControllerReading => {
    const state = follow?.state()
    return {
      atS,
      shownC: fault === 'thermocouple' ? null : model.indicatedC,
      setC: state?.setC ?? 0,
      step: follow && !follow.done() ? (state?.step ?? 0) + 1 : 0,
      power,
      doorOpen,
      fault,
    }
  }

  function shareNow(dtS: number): number {
    // A broken thermocouple or a dead mains leaves nothing on; the controller shuts the relay by itself.
    if (!follow || follow.done() || fault === 'power' || fault === 'thermocouple') return 0
    const share = follow.share(model.indicatedC, dtS)
    if (fault === 'element') return share / 2
    return fault === 'overshoot' ? Math.max(share, STUCK_SHARE) : share
  }

  function advance(seconds: number) {
    const end = atS + seconds
    while (atS < end - 1e-9) {
      const dtS = Math.min(atS - doorMovedS < FAST_FOR_S ? FAST_STEP_S : SLOW_STEP_S, end - atS)
      power = shareNow(dtS)
      model.step(power, doorOpen, dtS)
      atS += dtS
      if (fault !== 'power') follow?.advance(model.indicatedC, atS)
    }
  }

  function handle(line: string): string {
    const parsed = readCommand(line)
    if (!parsed.ok)
      return `ERR “${line.slice(0, 60)}” is not a command of this controller. It knows ID?, READ?, PROG, STEP, RUN, STOP.`
    const command = parsed.value
    switch (command.kind) {
      case 'identify':
        return 'ID simulated-oven 1'
      case 'read':
        return writeReading(reading())
      case 'begin':
        if (follow && !follow.done()) return 'ERR a programme runs: STOP it first'
        if (command.steps < 1 || command.steps > MOST_STEPS) return `ERR it holds 1 to ${MOST_STEPS} steps`
        expected = command.steps
        steps = []
        return 'OK'
      case 'step':
        if (command.number !== steps.length + 1 || command.number > expected)
          return `ERR step ${steps.length + 1} of ${expected} is expected`
        if (command.step.targetC > MOST_C) return `ERR ${command.step.targetC} C is above ${MOST_C} C`
        steps.push(command.step)
        return 'OK'
      case 'run':
        if (expected === 0 || steps.length !== expected) return `ERR ${steps.length} of ${expected} steps are in`
        atS = 0
        doorMovedS = Number.NEGATIVE_INFINITY
        follow = followProgramme(steps, model.indicatedC)
        return 'OK'
      case 'stop':
        follow = null
        power = 0
        return 'OK'
      case 'door':
        doorOpen = command.open
        doorMovedS = atS
        return 'OK'
      case 'speed':
        speed = command.times
        return 'OK'
      case 'fault':
        fault = command.fault
        return 'OK'
    }
  }

  /** Puts cold blades in, as hands would. */
  const insert = (load: readonly OvenLoad[]) => {
    for (const blades of load) model.insert(blades)
  }

  return { handle, advance, insert, reading, speed: () => speed }
}

export type SimulatedController = ReturnType<typeof createOvenController>
