import { ok, type Result } from '../codes/result'
import { type CutPiece, type CutPlan, type CutPlanRequest, planCuts } from './cut-plan'
import { allFronts, type PieceType, placesOf, type Rectangle, shortestOf, splitsOf } from './guillotine'

/** A piece of foil left over from another day. */
export interface Offcut {
  readonly id: string
  readonly widthMm: number
  readonly lengthMm: number
}

/** Sheets cut from one offcut. */
export interface OffcutUse {
  readonly offcut: Offcut
  readonly layout: readonly (Rectangle & { readonly piece: number; readonly rotated: boolean })[]
}

export interface StockPlan extends CutPlan {
  readonly offcuts: readonly OffcutUse[]
}

/** Sheets considered for one offcut: more hardly ever fit one. */
const MOST_IN_OFFCUT = 4
/** Kinds of sheets looked at for one offcut: keeps a full drawer quick. */
const MOST_SPLITS = 4_000

/** Uses offcuts first, the smallest first, each filled with as much as it takes; the rest comes off the roll. */
export function planWithStock(request: CutPlanRequest, offcuts: readonly Offcut[]): Result<StockPlan> {
  const left = request.pieces.map(piece => ({ ...piece }))
  const used: OffcutUse[] = []
  const bySize = [...offcuts].sort((a, b) => a.widthMm * a.lengthMm - b.widthMm * b.lengthMm)
  for (const offcut of bySize) {
    const use = fillOffcut(offcut, left, request.rotate)
    if (!use) continue
    used.push(use)
    for (const place of use.layout) {
      const piece = left[place.piece] as { count: number }
      piece.count--
    }
  }
  const plan = planCuts({ ...request, pieces: left })
  return plan.ok ? ok({ ...plan.value, offcuts: used }) : plan
}

/** The most area of sheets that one offcut gives; null where none fits. */
function fillOffcut(offcut: Offcut, pieces: readonly CutPiece[], rotate: boolean): OffcutUse | null {
  const acrossMm = Math.floor(offcut.widthMm)
  const alongMm = Math.floor(offcut.lengthMm)
  const fits = (way: { x: number; y: number }) => way.x <= acrossMm && way.y <= alongMm
  const all = pieces.flatMap((piece, index) => {
    const [x, y] = [Math.ceil(piece.widthMm - 1e-9), Math.ceil(piece.lengthMm - 1e-9)]
    const ways = [{ x, y, rotated: false }, ...(rotate && x !== y ? [{ x: y, y: x, rotated: true }] : [])].filter(fits)
    return piece.count > 0 && ways.length > 0
      ? [{ index, type: { area: x * y, ways } satisfies PieceType, count: Math.min(piece.count, MOST_IN_OFFCUT) }]
      : []
  })
  all.sort((a, b) => b.type.area - a.type.area)
  let kinds = all.length
  while (kinds > 0 && splitsOf(all.slice(0, kinds).map(k => k.count)) > MOST_SPLITS) kinds--
  const chosen = all.slice(0, kinds)
  if (chosen.length === 0) return null
  const limits = { rollWidthMm: acrossMm, longestMm: alongMm, mostWasteMm2: Number.POSITIVE_INFINITY }
  const solved = allFronts(
    chosen.map(k => k.type),
    chosen.map(k => k.count),
    limits,
    MOST_IN_OFFCUT,
  )
  const best = solved?.fronts.map(shortestOf).reduce((a, b) => (areaOf(b) > areaOf(a) ? b : a), undefined)
  if (!best) return null
  return {
    offcut,
    layout: placesOf(best).map(place => ({
      piece: (chosen[place.type] as (typeof chosen)[number]).index,
      rotated: place.rotated,
      xMm: place.x,
      yMm: place.y,
      acrossMm: place.acrossMm,
      alongMm: place.alongMm,
    })),
  }
}

const areaOf = (block: ReturnType<typeof shortestOf>): number =>
  block ? placesOf(block).reduce((sum, place) => sum + place.acrossMm * place.alongMm, 0) : 0
