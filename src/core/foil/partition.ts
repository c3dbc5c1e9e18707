import { allFronts, type Block, type Front, type PieceType, shortestOf, stridesOf, vectorOf } from './guillotine'

/** Multisets a partition may run over, and pieces in a section of it: keeps the table small. */
const MOST_STATES = 40_000
const SECTION_PIECES = 6
/** Joins spent on the sections of a partition. */
const MOST_JOINS = 3_000_000

/**
 * Sections that hold everything, least in total length, by dynamic programming over counts: each section is the shortest
 * block of its pieces. With `known` fronts every multiset may be a section; without, those of up to six pieces.
 * Null where the table would be too large, or nothing under `below` is found.
 */
export function partitionSections(
  types: readonly PieceType[],
  counts: readonly number[],
  rollWidthMm: number,
  longestMm: number,
  known: { readonly fronts: readonly Front[]; readonly below: number } | null = null,
): Block[] | null {
  const states = counts.reduce((product, n) => product * (n + 1), 1)
  if (states > MOST_STATES) return null
  const fronts = known?.fronts ?? smallFronts(types, counts, rollWidthMm, longestMm)
  if (!fronts) return null
  const strides = stridesOf(counts)
  const sections = fronts.flatMap((front, index) => {
    const block = shortestOf(front)
    return block ? [{ index, block, vector: vectorOf(index, counts, strides) }] : []
  })
  const least = new Float64Array(states).fill(Number.POSITIVE_INFINITY)
  const last: (Block | null)[] = new Array(states).fill(null)
  const from = new Int32Array(states)
  least[0] = 0
  for (let m = 1; m < states; m++) {
    const vector = vectorOf(m, counts, strides)
    // The first type that is left must be in the next section: each partition is then met once.
    const first = vector.findIndex(n => n > 0)
    for (const section of sections) {
      if (section.vector[first] === 0 || section.index > m) continue
      if (section.vector.some((n, i) => n > (vector[i] as number))) continue
      const length = section.block.y + (least[m - section.index] as number)
      if (length < (least[m] as number)) {
        least[m] = length
        last[m] = section.block
        from[m] = m - section.index
      }
    }
  }
  const whole = states - 1
  if (!Number.isFinite(least[whole] as number) || (known && (least[whole] as number) >= known.below)) return null
  const blocks: Block[] = []
  for (let m = whole; m > 0; m = from[m] as number) blocks.push(last[m] as Block)
  return blocks
}

/** Fronts of small multisets alone; fewer pieces a section where many types would make it slow. */
function smallFronts(types: readonly PieceType[], counts: readonly number[], rollWidthMm: number, longestMm: number) {
  const longest = Math.min(longestMm, 2 * Math.max(...types.flatMap(type => type.ways.map(way => way.y))))
  const limits = { rollWidthMm, longestMm: longest, mostWasteMm2: Number.POSITIVE_INFINITY }
  for (let pieces = SECTION_PIECES; pieces >= 2; pieces--) {
    const solved = allFronts(types, counts, limits, pieces, MOST_JOINS)
    if (solved) return solved.fronts
  }
  return null
}
