/** Where along a drawing, and how hot, °C. */
export type CurvePoint = readonly [x: number, c: number]

/** A colour is set anew once it is so much hotter or cooler, K: between two the eye sees none. */
const STEP_K = 25
/** Cooler than this an oven is as good as cold. */
const COLD_C = 40

const between = ([ax, ac]: CurvePoint, [bx, bc]: CurvePoint, x: number): CurvePoint => [
  x,
  bx === ax ? bc : ac + ((bc - ac) * (x - ax)) / (bx - ax),
]

/** The part of a curve between two edges, cut at them. Points in order of x. */
export function visible(points: readonly CurvePoint[], left: number, right: number): CurvePoint[] {
  const within: CurvePoint[] = []
  points.forEach((point, i) => {
    const before = points[i - 1]
    if (before)
      for (const edge of [left, right])
        if (before[0] < edge && point[0] > edge) within.push(between(before, point, edge))
    if (point[0] >= left && point[0] <= right) within.push(point)
  })
  return within.map(([x, c]) => [x, c < COLD_C ? 0 : c])
}

/** The same with points between, so that from one to the next the colour hardly changes; those along a hold are left out. */
export function coloured(points: readonly CurvePoint[]): CurvePoint[] {
  return points.flatMap((point, i): CurvePoint[] => {
    const [before, after] = [points[i - 1], points[i + 1]]
    if (!before) return [point]
    if (after && before[1] === point[1] && after[1] === point[1]) return []
    if (before[0] === point[0] && before[1] === point[1]) return []
    const steps = Math.max(1, Math.ceil(Math.abs(point[1] - before[1]) / STEP_K))
    return Array.from({ length: steps }, (_, step) =>
      between(before, point, before[0] + ((point[0] - before[0]) * (step + 1)) / steps),
    )
  })
}
