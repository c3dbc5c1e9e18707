import type { TimeFormat } from '../core/files/oven-log/time-cells'
import type { ControllerSettings, KeyedStep } from '../core/oven/keyed-programme'
import type { ControllerTrouble } from '../core/oven/line-protocol'
import { counted } from './lists'

/** How the times of a log are written. */
export function timeFormatWords(format: TimeFormat): string {
  switch (format.kind) {
    case 'iso':
      return 'year-month-day and time'
    case 'date-time':
      return format.dayFirst ? 'day, month, year and time' : 'month, day, year and time'
    case 'clock':
      return 'hours, minutes, seconds'
    default:
      return format.name
  }
}

/** Heading of the ramp column on this kind of controller. */
export function rampHeading({ ramp, degrees }: Pick<ControllerSettings, 'ramp' | 'degrees'>): string {
  if (ramp === 'minutes-to-target') return 'Minutes to get there'
  return `Rate, °${degrees}/${ramp === 'per-hour' ? 'h' : 'min'}`
}

/** Says the purpose of a step of a programme. */
export function keyedStepName({ purpose, heldOn }: Pick<KeyedStep, 'purpose' | 'heldOn'>): string {
  const name = purpose.kind === 'soak' ? 'Soak' : `Equalise ${purpose.round}`
  return heldOn ? `${name}, held on` : name
}

/** Says the trouble with a connected controller, and what to do. */
/** Says how many readings of a controller could not be understood. */
export const garbledWords = (n: number): string =>
  `${counted(n, 'reading')} of the controller could not be understood and counted for nothing: look at the cable and its speed, 9600 baud.`

export function controllerTroubleWords(trouble: ControllerTrouble): string {
  switch (trouble.code) {
    case 'silent':
      return `Nothing heard from the controller for ${trouble.seconds} s. Look at the oven itself, then at the cable and the power.`
    case 'refused':
      return `The controller refused: ${trouble.reply}.`
    case 'no-server':
      return 'The stand-in for a controller lives on the application’s server, and that does not answer. Start it again, then connect again; everything else goes on without it.'
    default:
      return 'The controller does not answer. Look at the cable and the power, then connect again.'
  }
}

/** Says why the browser opened no device. */
export const noDeviceWords = (why: string): string => `No device: ${why}.`
export const noCableWords = 'This browser cannot reach a cable.'
/** Says why a page that came as a plain file has no simulated controller. */
export const noSimulatedWords =
  'The simulated controller runs on the application’s own server (npm start), which this address is not.'
