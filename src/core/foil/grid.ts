import { ok, type Result } from '../codes/result'
import type { System } from '../units/quantity'
import type { CutPlanRequest } from './cut-plan'
import { type Offcut, planWithStock, type StockPlan } from './stock'

/** Smallest mark of the shop's rule, mm: whole millimetres, or sixteenths of an inch. */
export const RULE_STEP_MM: Readonly<Record<System, number>> = { metric: 1, imperial: 25.4 / 16 }

/**
 * A cut plan whose every size and cut lies on the marks of the shop's rule: planned in whole steps of it, sheets rounded up, roll and
 * offcuts down. Lengths are mm, as everywhere. Errors: as planCuts.
 */
export function planOnRule(request: CutPlanRequest, offcuts: readonly Offcut[], system: System): Result<StockPlan> {
  const step = RULE_STEP_MM[system]
  if (step === 1) return planWithStock(request, offcuts)
  const up = (mm: number) => Math.ceil(mm / step - 1e-6)
  const down = (mm: number) => Math.floor(mm / step + 1e-6)
  const planned = planWithStock(
    {
      ...request,
      rollWidthMm: down(request.rollWidthMm),
      longestSectionMm: request.longestSectionMm === null ? null : down(request.longestSectionMm),
      pieces: request.pieces.map(({ lengthMm, widthMm, count }) => ({
        lengthMm: up(lengthMm),
        widthMm: up(widthMm),
        count,
      })),
    },
    offcuts.map(({ id, widthMm, lengthMm }) => ({ id, widthMm: down(widthMm), lengthMm: down(lengthMm) })),
  )
  if (!planned.ok) {
    // What does not fit is said in the sizes that were given.
    const given = planWithStock(request, offcuts)
    return given.ok ? planned : given
  }
  const { usedLengthMm, lowerBoundMm, layout, sections, leftovers, offcuts: used, ...rest } = planned.value
  const rectangle = <R extends { xMm: number; yMm: number; acrossMm: number; alongMm: number }>(r: R): R => ({
    ...r,
    xMm: r.xMm * step,
    yMm: r.yMm * step,
    acrossMm: r.acrossMm * step,
    alongMm: r.alongMm * step,
  })
  const byId = new Map(offcuts.map(offcut => [offcut.id, offcut]))
  return ok({
    ...rest,
    usedLengthMm: usedLengthMm * step,
    lowerBoundMm: lowerBoundMm * step,
    layout: layout.map(rectangle),
    sections: sections.map(({ yMm, alongMm }) => ({ yMm: yMm * step, alongMm: alongMm * step })),
    leftovers: leftovers.map(rectangle),
    offcuts: used.map(use => ({
      offcut: byId.get(use.offcut.id) ?? use.offcut,
      layout: use.layout.map(rectangle),
    })),
  })
}

/** A sheet's sides on the marks of the rule, rounded up, mm. */
export function onRule<P extends { readonly lengthMm: number; readonly widthMm: number }>(piece: P, system: System): P {
  const step = RULE_STEP_MM[system]
  const up = (mm: number) => Math.ceil(mm / step - 1e-6) * step
  return { ...piece, lengthMm: up(piece.lengthMm), widthMm: up(piece.widthMm) }
}
