/** Minutes from midnight as a field for a time of day shows them; past midnight goes on. @example asTime(1500) // '01:00' */
export const asTime = (min: number): string =>
  `${String(Math.floor((min % 1440) / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`

/** Returns the value of a time field, min from midnight. @example asMinutes('22:30') // 1350 */
export const asMinutes = (time: string): number => {
  const [h, m] = time.split(':').map(Number)
  return (h ?? 0) * 60 + (m ?? 0)
}
