import { fail, ok, type Result } from '../codes/result'
import { createRandom } from '../numeric/random'
import {
  allFronts,
  type Block,
  countsOf,
  leftoversOf,
  type PieceType,
  placesOf,
  type Rectangle,
  sectionsOf,
  shortestOf,
  splitsOf,
} from './guillotine'
import { lowerBoundMm } from './lower-bound'
import { partitionSections } from './partition'
import { shelfSections } from './shelves'

export interface CutPiece {
  readonly lengthMm: number
  readonly widthMm: number
  readonly count: number
}

export interface CutPlanRequest {
  readonly rollWidthMm: number
  readonly rotate: boolean
  /** Longest section the shop shears side by side, mm; null for no limit. */
  readonly longestSectionMm: number | null
  readonly pieces: readonly CutPiece[]
}

export interface Placement extends Rectangle {
  /** Index into the pieces. */
  readonly piece: number
  readonly rotated: boolean
}

export interface Section {
  readonly yMm: number
  readonly alongMm: number
}

export interface CutPlan {
  readonly usedLengthMm: number
  /** No plan can use less. */
  readonly lowerBoundMm: number
  /** Whether the plan is proven to be the shortest that straight cuts allow. */
  readonly proven: boolean
  readonly layout: readonly Placement[]
  /** Sheared off one after another, each straight across the roll. */
  readonly sections: readonly Section[]
  /** Rectangles left over inside the used length, largest first. */
  readonly leftovers: readonly Rectangle[]
}

/** Largest number of pieces placed in one plan. */
export const MOST_PIECES = 400
/** Work of an exact solution, in splits of multisets; and the joins after which it is given up. */
const EXACT_SPLITS = 120_000
const EXACT_JOINS = 6_000_000
/** Work of the improvement when the whole is too large, in joins: about half a second. */
const SEARCH_JOINS = 7_000_000
/** A part of a plan solved anew: splits at the most. */
const PART_SPLITS = 2_500
const SEED = 1
/** Leftovers with a side under this are clippings, mm. */
const LEAST_LEFTOVER_MM = 30

/**
 * The shortest length of roll for a set of sheets, cut by a shear: guillotine strip packing, x across the roll, y along it,
 * whole mm. Small sets are solved exactly; larger ones by partition into sections and by solving a few sections anew
 * over and over. The same request gives the same plan.
 * Source: calculations in docs/method.md, 'Foil'. Errors: 'sheet-too-wide', 'sheet-too-long', 'too-many-sheets'.
 */
export function planCuts(request: CutPlanRequest): Result<CutPlan> {
  const total = request.pieces.reduce((sum, piece) => sum + piece.count, 0)
  if (total > MOST_PIECES) return fail('too-many-sheets', { most: MOST_PIECES }, 'pieces')
  const rollWidthMm = Math.floor(request.rollWidthMm)
  const merged = mergeTypes(request, rollWidthMm)
  if (!merged.ok) return merged
  const { types, counts, members } = merged.value
  const bound = lowerBoundMm(types, counts, rollWidthMm)
  const { blocks, proven } = solve(types, counts, rollWidthMm, request.longestSectionMm, bound)
  return ok(layOut(blocks, members, rollWidthMm, bound, proven))
}

interface Merged {
  readonly types: PieceType[]
  readonly counts: number[]
  /** Indices of the request's pieces behind each type, one for each sheet. */
  readonly members: number[][]
}

/** Pieces of equal size are one type, whichever line they stand in. */
function mergeTypes(request: CutPlanRequest, rollWidthMm: number): Result<Merged> {
  const byKey = new Map<string, number>()
  const merged: Merged = { types: [], counts: [], members: [] }
  for (const [index, piece] of request.pieces.entries()) {
    if (piece.count === 0) continue
    const ways = waysOf(piece, index, request, rollWidthMm)
    if (!ways.ok) return ways
    const key = ways.value
      .map(way => `${way.x}x${way.y}`)
      .sort()
      .join()
    const type = byKey.get(key) ?? merged.types.length
    if (type === merged.types.length) {
      byKey.set(key, type)
      const [{ x, y }] = ways.value as [PieceType['ways'][number]]
      merged.types.push({ area: x * y, ways: ways.value })
      merged.counts.push(0)
      merged.members.push([])
    }
    merged.counts[type] = (merged.counts[type] ?? 0) + piece.count
    for (let i = 0; i < piece.count; i++) merged.members[type]?.push(index)
  }
  return ok(merged)
}

/** The ways a piece may lie: as given its length lies along the roll. */
function waysOf(
  piece: CutPiece,
  index: number,
  request: CutPlanRequest,
  rollWidthMm: number,
): Result<PieceType['ways']> {
  const [length, width] = [Math.ceil(piece.lengthMm - 1e-9), Math.ceil(piece.widthMm - 1e-9)]
  const both = [
    { x: width, y: length, rotated: false },
    { x: length, y: width, rotated: true },
  ]
  const allowed = request.rotate && length !== width ? both : both.slice(0, 1)
  const fitting = allowed.filter(way => way.x <= rollWidthMm)
  if (fitting.length === 0)
    return fail(
      'sheet-too-wide',
      {
        lengthMm: piece.lengthMm,
        widthMm: piece.widthMm,
        rollWidthMm: request.rollWidthMm,
        turned: request.rotate,
      },
      `pieces.${index}`,
    )
  const limit = request.longestSectionMm
  const joinable = fitting.filter(way => limit === null || way.y <= limit)
  if (joinable.length === 0)
    return fail(
      'sheet-too-long',
      { lengthMm: piece.lengthMm, widthMm: piece.widthMm, longestMm: limit ?? 0 },
      `pieces.${index}`,
    )
  return ok(joinable)
}

const lengthOf = (blocks: readonly Block[]) => blocks.reduce((sum, block) => sum + block.y, 0)

/** Sections that hold everything, and whether no others could be shorter. */
function solve(types: PieceType[], counts: number[], rollWidthMm: number, limit: number | null, bound: number) {
  const longest = limit ?? Number.POSITIVE_INFINITY
  let best = shelfSections(types, counts, rollWidthMm, longest)
  const better = (blocks: Block[] | null) => {
    if (blocks && lengthOf(blocks) < lengthOf(best)) best = blocks
  }
  // What is at the bound already is not looked at any further: that spares work and changes no plan.
  // Stryker disable next-line ConditionalExpression,EqualityOperator
  if (lengthOf(best) > bound) better(partitionSections(types, counts, rollWidthMm, longest))
  // Stryker disable next-line ConditionalExpression,EqualityOperator
  if (lengthOf(best) > bound) {
    const small = splitsOf(counts) <= EXACT_SPLITS
    best = improve(best, types, rollWidthMm, longest, bound, small ? SEARCH_JOINS / 10 : SEARCH_JOINS)
    if (small && lengthOf(best) > bound) {
      const exact = solveExactly(types, counts, rollWidthMm, longest, lengthOf(best))
      if (exact.blocks) best = exact.blocks
      if (exact.proven) return { blocks: best, proven: true }
    }
  }
  return { blocks: best, proven: lengthOf(best) <= bound }
}

/**
 * The shortest plan under a known one, over all multisets; blocks that waste more than the known plan could bear are left
 * out, so that finding nothing proves the known one. Null blocks: nothing shorter.
 */
function solveExactly(
  types: readonly PieceType[],
  counts: readonly number[],
  rollWidthMm: number,
  longest: number,
  known: number,
): { blocks: Block[] | null; proven: boolean } {
  const area = types.reduce((sum, type, i) => sum + type.area * (counts[i] ?? 0), 0)
  const limits = {
    rollWidthMm,
    longestMm: Math.min(longest, known - 1),
    mostWasteMm2: rollWidthMm * (known - 1) - area,
  }
  const solved = allFronts(types, counts, limits, Number.POSITIVE_INFINITY, EXACT_JOINS)
  if (!solved) return { blocks: null, proven: false }
  const { fronts } = solved
  if (!Number.isFinite(longest)) {
    const whole = shortestOf(fronts.at(-1) as Block[])
    return { blocks: whole ? sectionsOf(whole) : null, proven: true }
  }
  return { blocks: partitionSections(types, counts, rollWidthMm, longest, { fronts, below: known }), proven: true }
}

/** Takes two to four sections at a time and solves them anew, as long as the work lasts; never longer than before. */
function improve(
  start: readonly Block[],
  types: readonly PieceType[],
  rollWidthMm: number,
  longest: number,
  bound: number,
  mostJoins: number,
): Block[] {
  const random = createRandom(SEED)
  let blocks = [...start]
  let joins = 0
  // How long is tried, and which parts are too large to be: work alone.
  // Stryker disable next-line ConditionalExpression,EqualityOperator,LogicalOperator,UpdateOperator
  for (let round = 0; joins < mostJoins && round < 4_000 && lengthOf(blocks) > bound && blocks.length > 1; round++) {
    const picked = pickSections(blocks, random)
    const part = picked.map(i => blocks[i] as Block)
    const counts = part.map(block => countsOf(block, types.length)).reduce((a, b) => a.map((n, i) => n + (b[i] ?? 0)))
    const used = counts.flatMap((n, i) => (n > 0 ? [i] : []))
    const own = used.map(i => counts[i] as number)
    joins += 200
    // Stryker disable next-line ConditionalExpression,EqualityOperator
    if (splitsOf(own) > PART_SPLITS) continue
    const known = lengthOf(part)
    const ownTypes = used.map(i => types[i] as PieceType)
    const area = ownTypes.reduce((sum, type, i) => sum + type.area * (own[i] ?? 0), 0)
    const limits = { rollWidthMm, longestMm: Math.min(longest, known), mostWasteMm2: rollWidthMm * known - area }
    const solved = allFronts(ownTypes, own, limits)
    if (!solved) continue
    joins += solved.work
    // Nothing longer than what was there is looked at: what comes back is as short or shorter.
    const whole = shortestOf(solved.fronts.at(-1) as Block[])
    const again = Number.isFinite(longest)
      ? partitionSections(ownTypes, own, rollWidthMm, longest, { fronts: solved.fronts, below: known + 1 })
      : whole && sectionsOf(whole)
    if (!again) continue
    const renamed = again.map(block => renameTypes(block, used))
    blocks = [...blocks.filter((_, i) => !picked.includes(i)), ...renamed]
  }
  return blocks
}

/** Two to four sections by chance. */
function pickSections(blocks: readonly Block[], random: ReturnType<typeof createRandom>): number[] {
  const many = 2 + Math.floor(random.uniform() * Math.min(3, blocks.length - 1))
  const picked = new Set<number>()
  while (picked.size < Math.min(many, blocks.length)) picked.add(Math.floor(random.uniform() * blocks.length))
  return [...picked]
}

const renameTypes = (block: Block, names: readonly number[]): Block =>
  block.kind === 'piece'
    ? { ...block, type: names[block.type] as number }
    : { ...block, a: renameTypes(block.a, names), b: renameTypes(block.b, names) }

/** Lays sections one behind another, the longest first, and names every sheet. */
function layOut(
  blocks: readonly Block[],
  members: readonly number[][],
  rollWidthMm: number,
  bound: number,
  proven: boolean,
): CutPlan {
  const queues = members.map(list => [...list])
  const layout: Placement[] = []
  const sections: Section[] = []
  const leftovers: Rectangle[] = []
  let y = 0
  for (const block of [...blocks].sort((a, b) => b.y - a.y)) {
    sections.push({ yMm: y, alongMm: block.y })
    for (const place of placesOf(block, 0, y))
      layout.push({
        piece: queues[place.type]?.shift() as number,
        xMm: place.x,
        yMm: place.y,
        acrossMm: place.acrossMm,
        alongMm: place.alongMm,
        rotated: place.rotated,
      })
    leftovers.push(...leftoversOf(block, rollWidthMm, block.y, 0, y))
    y += block.y
  }
  return {
    usedLengthMm: y,
    lowerBoundMm: proven ? y : bound,
    proven,
    layout,
    sections,
    leftovers: leftovers
      .filter(r => Math.min(r.acrossMm, r.alongMm) >= LEAST_LEFTOVER_MM)
      .sort((a, b) => b.acrossMm * b.alongMm - a.acrossMm * a.alongMm),
  }
}
