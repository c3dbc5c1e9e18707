import { fail, ok, type Result } from '../codes/result'

/**
 * The line protocol an oven controller speaks: ASCII lines that end with a line feed, one command a line, one answer a line; while
 * a programme runs it sends a READ line by itself every second. Temperatures in °C with a point. docs/devices.md has it whole.
 */
export interface ControllerReading {
  /** Seconds on the controller's own clock since the programme began. */
  readonly atS: number
  /** Temperature the thermocouple shows; null while it is broken. */
  readonly shownC: number | null
  readonly setC: number
  /** Step that runs, from 1; 0 when idle. */
  readonly step: number
  /** Share of full power, 0..1. */
  readonly power: number
  readonly doorOpen: boolean
  readonly fault: ControllerFault
}

export const CONTROLLER_FAULTS = ['none', 'thermocouple', 'element', 'power', 'overshoot'] as const
export type ControllerFault = (typeof CONTROLLER_FAULTS)[number]

export interface ControllerStep {
  /** °C/h; null: full power. */
  readonly rateCPerH: number | null
  readonly targetC: number
  readonly holdMin: number
}

export type ControllerCommand =
  | { readonly kind: 'identify' }
  | { readonly kind: 'read' }
  | { readonly kind: 'begin'; readonly steps: number }
  | { readonly kind: 'step'; readonly number: number; readonly step: ControllerStep }
  | { readonly kind: 'run' }
  | { readonly kind: 'stop' }
  | { readonly kind: 'door'; readonly open: boolean }
  | { readonly kind: 'speed'; readonly times: number }
  | { readonly kind: 'fault'; readonly fault: ControllerFault }

const tenth = (x: number) => (Math.round(x * 10) / 10).toString()

/** A command as a line of the protocol, docs/devices.md; temperatures °C, times min. */
export function writeCommand(command: ControllerCommand): string {
  switch (command.kind) {
    case 'identify':
      return 'ID?'
    case 'read':
      return 'READ?'
    case 'begin':
      return `PROG ${command.steps}`
    case 'step': {
      const { rateCPerH, targetC, holdMin } = command.step
      return `STEP ${command.number} ${rateCPerH === null ? 'FULL' : tenth(rateCPerH)} ${tenth(targetC)} ${tenth(holdMin)}`
    }
    case 'run':
      return 'RUN'
    case 'stop':
      return 'STOP'
    case 'door':
      return `DOOR ${command.open ? 'OPEN' : 'SHUT'}`
    case 'speed':
      return `SPEED ${tenth(command.times)}`
    case 'fault':
      return `FAULT ${command.fault.toUpperCase()}`
  }
}

/** Reads the rest of a line as that command; null if it cannot. */
type ReadRest = (rest: readonly string[]) => ControllerCommand | null

const alone =
  (command: ControllerCommand): ReadRest =>
  rest =>
    rest.length === 0 ? command : null

const oneNumber = (rest: readonly string[]) => (rest.length === 1 ? Number(rest[0]) : Number.NaN)

const readStep: ReadRest = rest => {
  if (rest.length !== 4) return null
  const [number = Number.NaN, rate = Number.NaN, targetC = Number.NaN, holdMin = Number.NaN] = rest.map(Number)
  const rateCPerH = rest[1] === 'FULL' ? null : rate
  const whole = Number.isInteger(number) && [targetC, holdMin, rateCPerH ?? 1].every(Number.isFinite)
  return whole && (rateCPerH ?? 1) > 0 && holdMin >= 0
    ? { kind: 'step', number, step: { rateCPerH, targetC, holdMin } }
    : null
}

const READERS: Readonly<Record<string, ReadRest>> = {
  'ID?': alone({ kind: 'identify' }),
  'READ?': alone({ kind: 'read' }),
  RUN: alone({ kind: 'run' }),
  STOP: alone({ kind: 'stop' }),
  PROG: rest => {
    const steps = oneNumber(rest)
    return Number.isInteger(steps) ? { kind: 'begin', steps } : null
  },
  SPEED: rest => {
    const times = oneNumber(rest)
    return times >= 1 && times <= 600 ? { kind: 'speed', times } : null
  },
  DOOR: ([how]) => (how === 'OPEN' || how === 'SHUT' ? { kind: 'door', open: how === 'OPEN' } : null),
  FAULT: ([name]) => {
    const fault = CONTROLLER_FAULTS.find(known => known.toUpperCase() === name)
    return fault ? { kind: 'fault', fault } : null
  },
  STEP: readStep,
}

/** Errors: 'unknown-command'. */
export function readCommand(line: string): Result<ControllerCommand> {
  const [word = '', ...rest] = line.trim().toUpperCase().split(/\s+/)
  const command = Object.hasOwn(READERS, word) ? READERS[word]?.(rest) : null
  return command ? ok(command) : fail('unknown-command', { line: line.slice(0, 60) })
}

/** A reading as a line of the protocol, docs/devices.md; temperatures °C, times s. */
export const writeReading = (r: ControllerReading): string =>
  `READ t=${tenth(r.atS)} pv=${r.shownC === null ? 'OPEN' : tenth(r.shownC)} sp=${tenth(r.setC)} step=${r.step} out=${r.power.toFixed(2)} door=${r.doorOpen ? 'OPEN' : 'SHUT'} fault=${r.fault.toUpperCase()}`

const DECIMAL = String.raw`(-?\d+(?:\.\d+)?)`
const READING = new RegExp(
  `^READ t=${DECIMAL} pv=(OPEN|-?\\d+(?:\\.\\d+)?) sp=${DECIMAL} step=(\\d{1,3}) out=${DECIMAL} door=(OPEN|SHUT) fault=([A-Z]+)$`,
)
/** Figures an oven's controller can mean: longest programme, s, and what a thermocouple or a set point can say, °C. */
const LONGEST_S = 30 * 86_400
const READABLE_C = { min: -60, max: 1800 }

const isReadable = (c: number | null): boolean => c === null || (c >= READABLE_C.min && c <= READABLE_C.max)

/** Whether a line begins as a reading does. */
export const isReadingLine = (line: string): boolean => line.startsWith('READ')

/** Returns a READ line as a reading; null for any other line, a torn one, or figures no oven can mean. */
export function readReading(line: string): ControllerReading | null {
  const match = READING.exec(line.trim())
  const fault = CONTROLLER_FAULTS.find(name => name.toUpperCase() === match?.[7])
  if (!match || !fault) return null
  const reading: ControllerReading = {
    atS: Number(match[1]),
    shownC: match[2] === 'OPEN' ? null : Number(match[2]),
    setC: Number(match[3]),
    step: Number(match[4]),
    power: Number(match[5]),
    doorOpen: match[6] === 'OPEN',
    fault,
  }
  const { atS, shownC, setC, power } = reading
  const isSound = atS >= 0 && atS <= LONGEST_S && isReadable(shownC) && isReadable(setC) && power >= 0 && power <= 1
  return isSound ? reading : null
}

/** Whether a reply to a command means that it was taken. */
export const isTaken = ({ kind }: ControllerCommand, reply: string): boolean =>
  kind === 'identify' || kind === 'read' ? !reply.startsWith('ERR') : reply.trim() === 'OK'

/** The commands that load a programme, in order. */
export const programmeCommands = (steps: readonly ControllerStep[]): ControllerCommand[] => [
  { kind: 'begin', steps: steps.length },
  ...steps.map((step, i): ControllerCommand => ({ kind: 'step', number: i + 1, step })),
]

/** Trouble with a controller: silent for a while, a command it refused, or one it, or the stand-in's server, never answered. */
export type ControllerTrouble =
  | { readonly code: 'silent'; readonly seconds: number }
  | { readonly code: 'refused'; readonly reply: string }
  | { readonly code: 'no-answer' }
  | { readonly code: 'no-server' }
