/** Seconds as a clock: 0:22, 15:40, 2:05:10; a sign when overdue. */
export function clockText(seconds: number): string {
  const whole = Math.round(Math.abs(seconds))
  const two = (value: number) => String(value).padStart(2, '0')
  const h = Math.floor(whole / 3600)
  const m = Math.floor((whole % 3600) / 60)
  const text = h > 0 ? `${h}:${two(m)}:${two(whole % 60)}` : `${m}:${two(whole % 60)}`
  return seconds < -0.5 ? `+${text}` : text
}

/** Minutes as hours and minutes: 0:45, 12:05. */
export function hoursText(minutes: number): string {
  const whole = Math.round(minutes)
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}

/** A clock as it is typed, h:mm:ss, m:ss or minutes alone, in seconds; null where it is none. */
export function parseClock(text: string): number | null {
  const parts = text.trim().split(/[:.]/)
  if (parts.length > 3 || parts.some(part => !/^\d{1,4}$/.test(part))) return null
  const numbers = parts.map(Number)
  if (numbers.length === 1) return (numbers[0] ?? 0) * 60
  return numbers.reduce((sum, part) => sum * 60 + part, 0)
}
