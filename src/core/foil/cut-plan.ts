import { createRandom } from '../random'
import { fail, ok, type Result } from '../result'

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

export interface Placement {
  /** Index into the pieces. */
  readonly piece: number
  /** From the left edge of the roll. */
  readonly xMm: number
  /** Along the roll from its free end. */
  readonly yMm: number
  readonly acrossMm: number
  readonly alongMm: number
  readonly rotated: boolean
}

export interface Section {
  readonly yMm: number
  readonly alongMm: number
}

export interface CutPlan {
  readonly usedLengthMm: number
  /** No plan can use less: area over roll width, and the pieces that cannot lie side by side. */
  readonly lowerBoundMm: number
  readonly layout: readonly Placement[]
  /** Sheared off one after another, each straight across the roll. */
  readonly sections: readonly Section[]
}

interface Standing {
  readonly piece: number
  readonly acrossMm: number
  readonly alongMm: number
  readonly rotated: boolean
}

/** Largest number of pieces placed in one plan. */
export const MOST_PIECES = 400

/**
 * Places pieces on a roll in sections (shelves): each section is as long as its longest piece, filled from the left
 * in columns, each column stacked along the roll. Every cut runs straight through: guillotine-cuttable.
 * Many orientations and orders are tried and the shortest kept. x across the roll, y along; all mm.
 * Errors: 'piece-too-wide', 'section-too-long', 'too-many', with the piece's path.
 */
export function planCuts(request: CutPlanRequest): Result<CutPlan> {
  const { pieces } = request
  if (pieces.reduce((sum, piece) => sum + piece.count, 0) > MOST_PIECES)
    return fail('too-many', `More than ${MOST_PIECES} pieces in one plan: split the batch.`, 'pieces')
  const choices: Standing[][] = []
  for (const [index, piece] of pieces.entries()) {
    const standings = standingsOf(piece, index, request)
    if (!standings.ok) return standings
    for (let i = 0; i < piece.count; i++) choices.push(standings.value)
  }
  const best = shortest(triedOrders(choices).map(order => fillSections(order, request.rollWidthMm)))
  return ok({ ...best, lowerBoundMm: lowerBound(choices, request.rollWidthMm) })
}

/** Plans within this share of the shortest count as equally short: a cut saved is worth more. */
const AS_SHORT = 1.005

/** The plan with the fewest cuts among the shortest ones. */
function shortest(plans: readonly Omit<CutPlan, 'lowerBoundMm'>[]): Omit<CutPlan, 'lowerBoundMm'> {
  const least = Math.min(...plans.map(plan => plan.usedLengthMm))
  return plans
    .filter(plan => plan.usedLengthMm <= least * AS_SHORT)
    .reduce((a, b) => ((b.sections.length - a.sections.length || b.usedLengthMm - a.usedLengthMm) < 0 ? b : a))
}

/** The ways a piece may lie, the flattest (least along the roll) first. */
function standingsOf(piece: CutPiece, index: number, request: CutPlanRequest): Result<Standing[]> {
  const { rollWidthMm, rotate, longestSectionMm } = request
  // As given, a piece's length lies across the roll.
  const both = [
    { piece: index, acrossMm: piece.lengthMm, alongMm: piece.widthMm, rotated: false },
    { piece: index, acrossMm: piece.widthMm, alongMm: piece.lengthMm, rotated: true },
  ]
  const fitting = (rotate ? both : both.slice(0, 1)).filter(s => s.acrossMm <= rollWidthMm)
  if (fitting.length === 0)
    return fail(
      'piece-too-wide',
      `A sheet of ${piece.lengthMm} x ${piece.widthMm} mm does not fit a roll ${rollWidthMm} mm wide${rotate ? '' : ' without turning it'}.`,
      `pieces.${index}`,
    )
  const joinable = fitting.filter(s => longestSectionMm === null || s.alongMm <= longestSectionMm)
  if (joinable.length === 0)
    return fail(
      'section-too-long',
      `A sheet of ${piece.lengthMm} x ${piece.widthMm} mm is longer than the longest section of ${longestSectionMm} mm.`,
      `pieces.${index}`,
    )
  return ok(joinable.sort((a, b) => a.alongMm - b.alongMm))
}

const flattest = (ways: readonly Standing[]) => ways[0] as Standing
const upright = (ways: readonly Standing[]) => ways[ways.length - 1] as Standing

const ORDERS = [
  (a: Standing, b: Standing) => b.alongMm - a.alongMm || b.acrossMm - a.acrossMm,
  (a: Standing, b: Standing) => b.acrossMm - a.acrossMm || b.alongMm - a.alongMm,
]

/** Placements computed in one plan: keeps forty pieces well under a tenth of a second. */
const MOST_PLACEMENTS = 8_000
const SEED = 1

/**
 * Orders in which the pieces are offered: all flat and all upright, longest and widest first; then, for as many tries
 * as time allows, each kind of piece standing one way or the other by chance. The same request gives the same orders.
 */
function triedOrders(choices: readonly Standing[][]): Standing[][] {
  const random = createRandom(SEED)
  const tries = Math.floor(MOST_PLACEMENTS / Math.max(1, choices.length * ORDERS.length))
  const standing = [flattest, upright].map(stand => choices.map(stand))
  for (let i = 0; i < tries; i++) {
    // A share of upright pieces for this try, so that mixed and nearly pure plans are all met.
    const share = random.uniform()
    standing.push(choices.map(ways => (random.uniform() < share ? upright(ways) : flattest(ways))))
  }
  return standing.flatMap(pieces => ORDERS.map(order => [...pieces].sort(order)))
}

interface Column {
  readonly xMm: number
  readonly acrossMm: number
  usedAlongMm: number
}

interface OpenSection extends Section {
  readonly columns: Column[]
  usedAcrossMm: number
}

function fillSections(order: readonly Standing[], rollWidthMm: number): Omit<CutPlan, 'lowerBoundMm'> {
  const sections: OpenSection[] = []
  const layout: Placement[] = []
  const place = (standing: Standing, section: OpenSection, column: Column) => {
    layout.push({ ...standing, xMm: column.xMm, yMm: section.yMm + column.usedAlongMm })
    column.usedAlongMm += standing.alongMm
  }
  const newColumn = (standing: Standing, section: OpenSection) => {
    const column: Column = { xMm: section.usedAcrossMm, acrossMm: standing.acrossMm, usedAlongMm: 0 }
    section.columns.push(column)
    section.usedAcrossMm += standing.acrossMm
    place(standing, section, column)
  }
  let length = 0
  for (const standing of order) {
    const column = openColumn(sections, standing)
    const beside = column
      ? null
      : sections.find(s => standing.alongMm <= s.alongMm && s.usedAcrossMm + standing.acrossMm <= rollWidthMm)
    if (column) place(standing, column.section, column.column)
    else if (beside) newColumn(standing, beside)
    else {
      const section: OpenSection = { yMm: length, alongMm: standing.alongMm, columns: [], usedAcrossMm: 0 }
      sections.push(section)
      length += standing.alongMm
      newColumn(standing, section)
    }
  }
  return { usedLengthMm: length, layout, sections: sections.map(({ yMm, alongMm }) => ({ yMm, alongMm })) }
}

/** The first column with room on top; plain loops, since this is asked for every piece of every try. */
function openColumn(sections: readonly OpenSection[], { acrossMm, alongMm }: Standing) {
  for (const section of sections) {
    if (alongMm >= section.alongMm) continue
    for (const column of section.columns) {
      if (acrossMm <= column.acrossMm && column.usedAlongMm + alongMm <= section.alongMm) return { section, column }
    }
  }
  return null
}

/** Area over width; and pieces wider than half the roll every way must follow one another. */
function lowerBound(choices: readonly Standing[][], rollWidthMm: number): number {
  const area = choices.reduce((sum, ways) => sum + flattest(ways).acrossMm * flattest(ways).alongMm, 0)
  const stacked = choices
    .filter(ways => ways.every(way => way.acrossMm * 2 > rollWidthMm))
    .reduce((sum, ways) => sum + flattest(ways).alongMm, 0)
  return Math.max(Math.ceil(area / rollWidthMm - 1e-9), stacked)
}
