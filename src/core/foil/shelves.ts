import { createRandom } from '../numeric/random'
import type { Block, PieceType } from './guillotine'

type Piece = Extract<Block, { kind: 'piece' }>

const flattest = (type: PieceType) => type.ways.reduce((a, b) => (b.y < a.y ? b : a))
const upright = (type: PieceType) => type.ways.reduce((a, b) => (b.y > a.y ? b : a))

const ORDERS = [(a: Piece, b: Piece) => b.y - a.y || b.x - a.x, (a: Piece, b: Piece) => b.x - a.x || b.y - a.y]

/** Placements computed in one plan: keeps forty pieces well under a tenth of a second. */
const MOST_PLACEMENTS = 8_000
const SEED = 1

/**
 * A first plan, quickly: sections (shelves) as long as their longest piece, filled from the left in columns, each column
 * stacked along the roll. Many orders and orientations are tried from a fixed seed and the shortest kept.
 */
export function shelfSections(
  types: readonly PieceType[],
  counts: readonly number[],
  rollWidthMm: number,
  longestMm: number,
): Block[] {
  const all = types.flatMap((type, i) => Array.from({ length: counts[i] ?? 0 }, () => ({ type, i })))
  const random = createRandom(SEED)
  const stand = (pick: (type: PieceType) => PieceType['ways'][number]): Piece[] =>
    all.map(({ type, i }) => ({ kind: 'piece', type: i, ...pick(type) }))
  const tries = Math.floor(MOST_PLACEMENTS / Math.max(1, all.length * ORDERS.length))
  const standing = [stand(flattest), stand(upright)]
  for (let t = 0; t < tries; t++) {
    // A share of upright pieces for this try, so that mixed and nearly pure plans are all met.
    const share = random.uniform()
    standing.push(stand(type => (random.uniform() < share ? upright(type) : flattest(type))))
  }
  let best: Block[] | null = null
  let least = Number.POSITIVE_INFINITY
  for (const pieces of standing)
    for (const order of ORDERS) {
      const sections = fill([...pieces].sort(order), rollWidthMm)
      const length = sections.reduce((sum, s) => sum + s.y, 0)
      if (length < least && sections.every(s => s.y <= longestMm)) {
        best = sections.map(blockOf)
        least = length
      }
    }
  return best ?? []
}

interface Shelf {
  readonly y: number
  x: number
  readonly columns: { readonly x: number; y: number; readonly pieces: Piece[] }[]
}

function fill(order: readonly Piece[], rollWidthMm: number): Shelf[] {
  const shelves: Shelf[] = []
  for (const piece of order) {
    const column = roomOnTop(shelves, piece)
    const beside = column ? null : shelves.find(s => piece.y <= s.y && s.x + piece.x <= rollWidthMm)
    if (column) {
      column.pieces.push(piece)
      column.y += piece.y
    } else {
      const shelf = beside ?? { y: piece.y, x: 0, columns: [] }
      if (!beside) shelves.push(shelf)
      shelf.columns.push({ x: piece.x, y: piece.y, pieces: [piece] })
      shelf.x += piece.x
    }
  }
  return shelves
}

/** The first column with room on top; plain loops, since this is asked for every piece of every try. */
function roomOnTop(shelves: readonly Shelf[], piece: Piece) {
  for (const shelf of shelves) {
    if (piece.y >= shelf.y) continue
    for (const column of shelf.columns) if (piece.x <= column.x && column.y + piece.y <= shelf.y) return column
  }
  return null
}

const join = (kind: 'h' | 'v', a: Block, b: Block): Block =>
  kind === 'h'
    ? { kind, a, b, x: a.x + b.x, y: Math.max(a.y, b.y) }
    : { kind, a, b, x: Math.max(a.x, b.x), y: a.y + b.y }

/** A shelf as a tree of straight cuts: columns side by side, the pieces of a column end to end. */
const blockOf = (shelf: Shelf): Block =>
  shelf.columns
    .map(
      column =>
        column.pieces.reduce<Block | null>((done, piece) => (done ? join('v', done, piece) : piece), null) as Block,
    )
    .reduce((a, b) => join('h', a, b))
