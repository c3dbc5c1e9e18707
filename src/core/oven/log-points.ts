/** A point of a log: minutes, °C. */
export type LogPoint = readonly [min: number, c: number]

/**
 * A long log as few points that draw the same: the lowest and the highest of each of many equal stretches of time, in order.
 */
export function thinLog(minutes: ArrayLike<number>, celsius: ArrayLike<number>, most: number): LogPoint[] {
  const n = minutes.length
  if (n <= most) return Array.from({ length: n }, (_, i) => [minutes[i] as number, celsius[i] as number])
  const points: LogPoint[] = []
  const start = minutes[0] as number
  const width = ((minutes[n - 1] as number) - start) / (most / 2)
  let i = 0
  while (i < n) {
    const end = start + (Math.floor(((minutes[i] as number) - start) / width) + 1) * width
    let [low, high] = [i, i]
    let j = i
    for (; j < n && ((minutes[j] as number) < end || j === i); j++) {
      if ((celsius[j] as number) < (celsius[low] as number)) low = j
      if ((celsius[j] as number) > (celsius[high] as number)) high = j
    }
    for (const k of low === high ? [low] : [Math.min(low, high), Math.max(low, high)])
      points.push([minutes[k] as number, celsius[k] as number])
    i = j
  }
  return points
}

/** The log at a minute, on straight lines between its samples; held at its ends. */
export function logAt(points: readonly LogPoint[], min: number): number {
  const n = points.length
  const [first, last] = [points[0], points[n - 1]]
  if (!first || !last) return Number.NaN
  if (min <= first[0]) return first[1]
  if (min >= last[0]) return last[1]
  let [low, high] = [0, n - 1]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if ((points[middle] as LogPoint)[0] <= min) low = middle
    else high = middle
  }
  const [a, b] = [points[low] as LogPoint, points[high] as LogPoint]
  return b[0] === a[0] ? b[1] : a[1] + ((min - a[0]) / (b[0] - a[0])) * (b[1] - a[1])
}
