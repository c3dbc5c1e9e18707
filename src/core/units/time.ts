export const MINUTE_MS = 60_000
export const DAY_MS = 86_400_000
/** Minutes of a day of the plan; a change of clocks is its calendar's concern. */
export const DAY_MIN = 1440

/** Returns seconds in minutes. */
export const minutesOf = (seconds: number): number => seconds / 60
/** Returns minutes in seconds. */
export const secondsOf = (minutes: number): number => minutes * 60
/** Returns minutes in hours. */
export const hoursOf = (minutes: number): number => minutes / 60
/** Returns the minutes from one instant to another, both in ms. */
export const minutesBetween = (fromMs: number, toMs: number): number => (toMs - fromMs) / MINUTE_MS
/** Returns the day, from 0, that a minute of the plan lies in. */
export const dayOfMinute = (min: number): number => Math.floor(min / DAY_MIN)
/** Returns the minute of the plan at which a day, from 0, begins. */
export const dayStartMin = (day: number): number => day * DAY_MIN

/** Returns the full hours from one minute to another, every second one where they are many. */
export function fullHours(fromMin: number, toMin: number): number[] {
  const step = toMin - fromMin > 16 * 60 ? 120 : 60
  return Array.from({ length: Math.floor((toMin - fromMin) / step) + 1 }, (_, i) => fromMin + i * step)
}

/** Returns the days from one instant to another, both in ms. */
export const daysBetween = (fromMs: number, toMs: number): number => (toMs - fromMs) / DAY_MS

/** Returns the seconds from one instant to another, both in ms. */
export const secondsBetween = (fromMs: number, toMs: number): number => (toMs - fromMs) / 1000
