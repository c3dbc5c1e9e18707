import type { Rectangle } from './guillotine'

/** A straight cut: across the roll or along it, from one point of it to another, in the order it is made. */
export interface Cut {
  readonly kind: 'across' | 'along'
  /** y of a cut across, x of a cut along. */
  readonly atMm: number
  readonly fromMm: number
  readonly toMm: number
}

export interface LayoutCheck {
  readonly usedLengthMm: number
  /** Pairs that overlap, by index. */
  readonly overlaps: readonly (readonly [number, number])[]
  /** Sheets that hang over the roll. */
  readonly outside: readonly number[]
  /** The cuts in order, or null where no straight cut goes through. */
  readonly cuts: readonly Cut[] | null
}

/** Sheets may touch; less than this is touching, mm. */
const TOUCH_MM = 0.01

const overlap = (a: Rectangle, b: Rectangle) =>
  a.xMm + a.acrossMm > b.xMm + TOUCH_MM &&
  b.xMm + b.acrossMm > a.xMm + TOUCH_MM &&
  a.yMm + a.alongMm > b.yMm + TOUCH_MM &&
  b.yMm + b.alongMm > a.yMm + TOUCH_MM

/** Whether a layout can be cut by a shear on a roll, and in which order. */
export function checkLayout(places: readonly Rectangle[], rollWidthMm: number): LayoutCheck {
  const usedLengthMm = places.reduce((most, p) => Math.max(most, p.yMm + p.alongMm), 0)
  const overlaps: [number, number][] = []
  places.forEach((a, i) => {
    for (let j = i + 1; j < places.length; j++) if (overlap(a, places[j] as Rectangle)) overlaps.push([i, j])
  })
  const outside = places.flatMap((p, i) =>
    p.xMm < -TOUCH_MM || p.yMm < -TOUCH_MM || p.xMm + p.acrossMm > rollWidthMm + TOUCH_MM ? [i] : [],
  )
  const fine = overlaps.length === 0 && outside.length === 0
  const whole = { xMm: 0, yMm: 0, acrossMm: rollWidthMm, alongMm: usedLengthMm }
  const parted = fine ? shear(places, whole) : null
  // The last cut takes what is used off the roll.
  const cuts = parted && [...parted, cutAt(whole, 'across', usedLengthMm)]
  return { usedLengthMm, overlaps, outside, cuts }
}

/**
 * Straight cuts that part every sheet from a rectangle, across first, nearest the free end first; null where some cut
 * would have to go through a sheet.
 */
function shear(places: readonly Rectangle[], area: Rectangle): Cut[] | null {
  const [only] = places
  if (!only) return []
  if (places.length === 1) return trim(only, area)
  for (const kind of ['across', 'along'] as const) {
    const at = parting(places, kind)
    if (at === null) continue
    const [low, high] = split(area, kind, at)
    const before = places.filter(p => end(p, kind) <= at + TOUCH_MM)
    const after = places.filter(p => start(p, kind) >= at - TOUCH_MM)
    const a = shear(before, low)
    const b = shear(after, high)
    return a && b && [cutAt(area, kind, at), ...a, ...b]
  }
  return null
}

const start = (p: Rectangle, kind: Cut['kind']) => (kind === 'across' ? p.yMm : p.xMm)
const end = (p: Rectangle, kind: Cut['kind']) => (kind === 'across' ? p.yMm + p.alongMm : p.xMm + p.acrossMm)

/** The first place where a cut parts the sheets in two without touching one; null without any. */
function parting(places: readonly Rectangle[], kind: Cut['kind']): number | null {
  const sorted = [...places].sort((a, b) => start(a, kind) - start(b, kind))
  let reach = Number.NEGATIVE_INFINITY
  for (const place of sorted) {
    if (reach > Number.NEGATIVE_INFINITY && start(place, kind) >= reach - TOUCH_MM) return reach
    reach = Math.max(reach, end(place, kind))
  }
  return null
}

const split = (area: Rectangle, kind: Cut['kind'], at: number): [Rectangle, Rectangle] =>
  kind === 'across'
    ? [
        { ...area, alongMm: at - area.yMm },
        { ...area, yMm: at, alongMm: area.yMm + area.alongMm - at },
      ]
    : [
        { ...area, acrossMm: at - area.xMm },
        { ...area, xMm: at, acrossMm: area.xMm + area.acrossMm - at },
      ]

const cutAt = (area: Rectangle, kind: Cut['kind'], atMm: number): Cut =>
  kind === 'across'
    ? { kind, atMm, fromMm: area.xMm, toMm: area.xMm + area.acrossMm }
    : { kind, atMm, fromMm: area.yMm, toMm: area.yMm + area.alongMm }

/** The cuts that free one sheet from what is left around it. */
function trim(place: Rectangle, area: Rectangle): Cut[] {
  const cuts: Cut[] = []
  let rest = area
  for (const [kind, at] of [
    ['across', place.yMm],
    ['across', place.yMm + place.alongMm],
    ['along', place.xMm],
    ['along', place.xMm + place.acrossMm],
  ] as const) {
    const [low, high] = [start(rest, kind), end(rest, kind)]
    if (at <= low + TOUCH_MM || at >= high - TOUCH_MM) continue
    cuts.push(cutAt(rest, kind, at))
    const [before, after] = split(rest, kind, at)
    rest = start(place, kind) >= at - TOUCH_MM ? after : before
  }
  return cuts
}
