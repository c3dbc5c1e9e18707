import type { StageHardness } from '../core/hardness/hardness-trace'
import type { Moment } from '../core/trace/cursor-time'
import type { Phase, StretchNote } from '../core/trace/timeline'
import { formatQuantity } from '../core/units/quantity'
import type { StationName } from '../data/stations'
import { hrcText, type Speaker } from './speaker'
import { stageName } from './stages'

/** Text at a stretch of the Heat Line, beside its temperature. */
export function stretchWords(note: StretchNote | null): string {
  if (note === null) return ''
  if (note.code === 'load') return 'load'
  if (note.code === 'soak') return `soak ${Math.round(note.minutes)} min`
  if (note.code === 'temper') return formatQuantity(note.minutes, 'duration', 'metric')
  return { freezer: 'freezer', 'dry-ice': 'dry ice', 'liquid-nitrogen': 'liquid nitrogen' }[note.code]
}

const PHASE_WORDS: Readonly<Record<Phase, string>> = {
  room: 'at room temperature',
  ramp: 'the oven heats',
  equalise: 'held until thick and thin blades are equal',
  soak: 'soak',
  quench: 'quench',
  chill: 'cooling down for the cold treatment',
  cold: 'cold treatment',
  warm: 'warming up to room temperature',
  'temper-ramp': 'heating up for the temper',
  temper: 'temper',
  cool: 'cooling to room temperature',
}

const STATION_WORDS: Readonly<Partial<Record<StationName, string>>> = {
  choose: 'choose steel, target and route',
  prepare: 'prepare the blades',
  wrap: 'wrap the blades in foil',
  inspect: 'count and inspect the blades',
  cold: 'rest at room temperature',
  measure: 'measure hardness',
  verdict: 'decide what to do next',
  finish: 'grind and finish',
  prove: 'test the edge',
}

/** A time from oven on, such as “2 h 05 min from oven on”. */
export const fromOvenOn = (minute: number): string => {
  const whole = Math.round(minute)
  return `${whole >= 60 ? `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}` : whole} min from oven on`
}

/** A moment of the plan in a line: when, how hot, what happens, and what was measured then. */
export function momentWords(moment: Moment, timed: boolean, say: Speaker): string {
  const what = (moment.phase === 'room' && STATION_WORDS[moment.station]) || PHASE_WORDS[moment.phase]
  const measured = moment.measuredC === null ? '' : `, measured ${say.t(moment.measuredC)}`
  return timed ? `${fromOvenOn(moment.minute)}: ${say.t(moment.c)}${measured}, ${what}` : `${say.t(moment.c)}, ${what}`
}

/** State of a station beside its name. */
export const STATION_STATE_WORDS = { done: 'done', 'to-do': 'to do' } as const

/** A hardness on the Heat Line, said whole. */
export const hardnessMarkWords = ({ stage, measured, expected }: StageHardness): string =>
  measured === null
    ? `Predicted ${hrcText(expected)} HRC ${stageName(stage)}`
    : `Measured ${hrcText(measured)} HRC ${stageName(stage)}, predicted ${hrcText(expected)}`
