/** Something that takes its time in a lane. */
export interface BoardBlock {
  readonly id: string
  readonly fromMin: number
  readonly toMin: number
  readonly title: string
  /** The title where there is no room for it. */
  readonly short: string
  readonly note: string
  /** The batch that is moved with it; null: it follows from others. */
  readonly batchId: string | null
}

export interface BoardLane {
  readonly kind: 'hot' | 'oven' | 'plates' | 'cold' | 'hands'
  readonly name: string
  readonly note: string
  /** Oven display, [min, °C]. */
  readonly curve: readonly (readonly [min: number, c: number])[]
  readonly blocks: readonly BoardBlock[]
}

/** One day, in minutes of the plan. */
export interface DayBoardProps {
  readonly fromMin: number
  readonly toMin: number
  readonly ticks: readonly { readonly min: number; readonly text: string }[]
  readonly now: { readonly min: number; readonly text: string } | null
  /** When no hands are there. */
  readonly away: readonly (readonly [fromMin: number, toMin: number])[]
  readonly lanes: readonly BoardLane[]
  readonly waits: readonly { readonly fromMin: number; readonly toMin: number; readonly text: string }[]
  /** A batch's block let go of, later by so many minutes. */
  /** Moves a batch's load; null where the day is only looked at. */
  readonly onMove: ((batchId: string, byMin: number) => void) | null
  readonly onOpen: (batchId: string) => void
}

export const WIDTH = 1060
export const LABELS = 136
export const TOP = 30
export const LANE_HEIGHT: Readonly<Record<BoardLane['kind'], number>> = {
  hot: 108,
  oven: 62,
  plates: 36,
  cold: 46,
  hands: 50,
}

/** Where a minute stands across the drawing. */
export const acrossOf = ({ fromMin, toMin }: Pick<DayBoardProps, 'fromMin' | 'toMin'>) => {
  const perMin = (WIDTH - LABELS - 24) / Math.max(1, toMin - fromMin)
  return { x: (min: number) => LABELS + (min - fromMin) * perMin, perMin }
}

/** The minute a place across the drawing stands for, on the plan's grid of five; null beside the lanes. */
export function minuteAt(atX: number, span: Pick<DayBoardProps, 'fromMin' | 'toMin'>): number | null {
  const { perMin } = acrossOf(span)
  const min = Math.round((span.fromMin + (atX - LABELS) / perMin) / 5) * 5
  return min >= span.fromMin && min <= span.toMin ? min : null
}

/** Rows for blocks that are at once: each goes into the first row in which it has room. */
export function rowsOf(blocks: readonly BoardBlock[]): {
  readonly rowOf: ReadonlyMap<string, number>
  readonly rows: number
} {
  const ends: number[] = []
  const rowOf = new Map<string, number>()
  for (const block of [...blocks].sort((a, b) => a.fromMin - b.fromMin)) {
    const free = ends.findIndex(end => end <= block.fromMin)
    const row = free < 0 ? ends.length : free
    ends[row] = block.toMin
    rowOf.set(block.id, row)
  }
  return { rowOf, rows: Math.max(1, ends.length) }
}
