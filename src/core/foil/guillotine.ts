/** A block cut from one rectangle by straight cuts: a piece, or two blocks side by side (h) or end to end (v). */
export type Block =
  | { readonly kind: 'piece'; readonly type: number; readonly rotated: boolean; readonly x: number; readonly y: number }
  | { readonly kind: 'h' | 'v'; readonly a: Block; readonly b: Block; readonly x: number; readonly y: number }

/** A kind of piece and the ways it may lie; whole mm, x across the roll, y along it. */
export interface PieceType {
  readonly area: number
  readonly ways: readonly { readonly x: number; readonly y: number; readonly rotated: boolean }[]
}

/** Limits of a block: no wider than the roll, no longer than a section, and no more waste than the best plan can bear. */
export interface BlockLimits {
  readonly rollWidthMm: number
  readonly longestMm: number
  readonly mostWasteMm2: number
}

/** How many ways multisets of these counts split in two: the work of an exact solution. */
export const splitsOf = (counts: readonly number[]): number =>
  counts.reduce((product, n) => product * (((n + 1) * (n + 2)) / 2), 1)

/** Blocks of one multiset, none of which is both narrower and shorter than another; by rising x. */
export type Front = readonly Block[]

/**
 * Fronts of every multiset up to `counts` (mixed radix: index Σ cᵢ·strideᵢ), by joining two smaller blocks side by side
 * or end to end. Every guillotine pattern is such a tree, so the fronts are exact within the limits.
 * `work` counts the joins tried; beyond `mostWork` null is returned.
 */
export function allFronts(
  types: readonly PieceType[],
  counts: readonly number[],
  limits: BlockLimits,
  mostPieces = Number.POSITIVE_INFINITY,
  mostWork = Number.POSITIVE_INFINITY,
): { fronts: Front[]; strides: number[]; work: number } | null {
  const strides = stridesOf(counts)
  const total = counts.reduce((product, n) => product * (n + 1), 1)
  const fronts: Front[] = Array.from({ length: total }, () => [])
  const grid = new BestByWidth(limits.rollWidthMm)
  let work = 0
  for (let m = 1; m < total; m++) {
    const vector = vectorOf(m, counts, strides)
    const size = vector.reduce((sum, n) => sum + n, 0)
    if (size > mostPieces) continue
    const area = vector.reduce((sum, n, i) => sum + n * (types[i]?.area ?? 0), 0)
    grid.reset()
    if (size === 1) {
      const type = vector.indexOf(1)
      for (const way of types[type]?.ways ?? [])
        if (way.x <= limits.rollWidthMm && way.y <= limits.longestMm && way.x * way.y - area <= limits.mostWasteMm2)
          grid.offer(way.x, way.y, { kind: 'piece', type, ...way }, null)
    } else
      eachSub(vector, strides, sub => {
        const rest = m - sub
        if (sub === 0 || rest === 0 || sub > rest) return
        work += joinAll(fronts[sub] as Front, fronts[rest] as Front, area, limits, grid)
      })
    fronts[m] = grid.front()
    if (work > mostWork) return null
  }
  return { fronts, strides, work }
}

/** Mixed-radix strides of a vector of counts. */
export function stridesOf(counts: readonly number[]): number[] {
  const strides: number[] = []
  let stride = 1
  for (const n of counts) {
    strides.push(stride)
    stride *= n + 1
  }
  return strides
}

/** The counts of each kind that a running number stands for; `strides` as `stridesOf` gives them. */
export const vectorOf = (index: number, counts: readonly number[], strides: readonly number[]): number[] =>
  counts.map((n, i) => Math.floor(index / (strides[i] as number)) % (n + 1))

/** Every multiset within a vector, by its index. */
function eachSub(vector: readonly number[], strides: readonly number[], visit: (index: number) => void) {
  const at = vector.map(() => 0)
  let index = 0
  for (;;) {
    visit(index)
    let i = 0
    while (i < vector.length && at[i] === vector[i]) {
      index -= (at[i] as number) * (strides[i] as number)
      at[i] = 0
      i++
    }
    if (i === vector.length) return
    at[i] = (at[i] as number) + 1
    index += strides[i] as number
  }
}

/** Joins every block of one front to every block of another, both ways. Returns the joins tried. */
function joinAll(as: Front, bs: Front, area: number, limits: BlockLimits, grid: BestByWidth): number {
  const { rollWidthMm, longestMm, mostWasteMm2 } = limits
  for (const a of as)
    for (const b of bs) {
      const besideX = a.x + b.x
      if (besideX <= rollWidthMm) {
        const y = a.y > b.y ? a.y : b.y
        if (besideX * y - area <= mostWasteMm2) grid.offer(besideX, y, a, b)
      }
      const stackedY = a.y + b.y
      if (stackedY <= longestMm) {
        const x = a.x > b.x ? a.x : b.x
        if (x * stackedY - area <= mostWasteMm2) grid.offer(x, stackedY, a, b)
      }
    }
  return as.length * bs.length
}

/** The shortest block seen for each width, and what it is made of. */
class BestByWidth {
  private readonly y: Float64Array
  private readonly a: (Block | null)[]
  private readonly b: (Block | null)[]
  constructor(private readonly width: number) {
    this.y = new Float64Array(width + 1).fill(Number.POSITIVE_INFINITY)
    this.a = new Array(width + 1).fill(null)
    this.b = new Array(width + 1).fill(null)
  }
  reset() {
    this.y.fill(Number.POSITIVE_INFINITY)
  }
  offer(x: number, y: number, a: Block, b: Block | null) {
    if (y >= (this.y[x] as number)) return
    this.y[x] = y
    this.a[x] = a
    this.b[x] = b
  }
  front(): Front {
    const out: Block[] = []
    let shortest = Number.POSITIVE_INFINITY
    for (let x = 0; x <= this.width; x++) {
      const y = this.y[x] as number
      if (y >= shortest) continue
      shortest = y
      const a = this.a[x] as Block
      const b = this.b[x] as Block | null
      out.push(b === null ? a : { kind: a.x + b.x === x && Math.max(a.y, b.y) === y ? 'h' : 'v', a, b, x, y })
    }
    return out
  }
}

/** The shortest block of a front: its last, since y falls as x rises; undefined where nothing fits. */
export const shortestOf = (front: Front): Block | undefined => front.at(-1)

/** A block's pieces where they lie, from its own corner. */
export function placesOf(
  block: Block,
  x = 0,
  y = 0,
): { type: number; rotated: boolean; x: number; y: number; acrossMm: number; alongMm: number }[] {
  if (block.kind === 'piece')
    return [{ type: block.type, rotated: block.rotated, x, y, acrossMm: block.x, alongMm: block.y }]
  const { a, b } = block
  return [...placesOf(a, x, y), ...(block.kind === 'h' ? placesOf(b, x + a.x, y) : placesOf(b, x, y + a.y))]
}

export interface Rectangle {
  readonly xMm: number
  readonly yMm: number
  readonly acrossMm: number
  readonly alongMm: number
}

/** Rectangles left over when a block is cut from one of a given size, from its own corner. */
export function leftoversOf(block: Block, acrossMm: number, alongMm: number, x = 0, y = 0): Rectangle[] {
  const out: Rectangle[] = []
  // What lies beside the block over the whole length, then what lies beyond it: the wider strip stays whole.
  if (acrossMm > block.x) out.push({ xMm: x + block.x, yMm: y, acrossMm: acrossMm - block.x, alongMm })
  if (alongMm > block.y) out.push({ xMm: x, yMm: y + block.y, acrossMm: block.x, alongMm: alongMm - block.y })
  if (block.kind === 'piece') return out
  const { a, b } = block
  return block.kind === 'h'
    ? [...out, ...leftoversOf(a, a.x, block.y, x, y), ...leftoversOf(b, b.x, block.y, x + a.x, y)]
    : [...out, ...leftoversOf(a, block.x, a.y, x, y), ...leftoversOf(b, block.x, b.y, x, y + a.y)]
}

/** A block's end-to-end parts: the sections a shear takes off one after another. */
export const sectionsOf = (block: Block): Block[] =>
  block.kind === 'v' ? [...sectionsOf(block.a), ...sectionsOf(block.b)] : [block]

/** How many of each type a block holds. */
export function countsOf(block: Block, types: number): number[] {
  const counts = new Array<number>(types).fill(0)
  for (const place of placesOf(block)) counts[place.type] = (counts[place.type] as number) + 1
  return counts
}
