import type { TipShape } from '../../data/outline'

export type Point = readonly [x: number, y: number]

/** A blade's outline: drawn from a few figures, or taken from a drawing file as points in its own box, 0..1. */
export type Outline =
  | {
      readonly kind: 'drawn'
      readonly tip: TipShape
      /** Length of the tang, and its width where it ends, mm. */
      readonly tangMm: number
      readonly tangWidthMm: number
    }
  | { readonly kind: 'imported'; readonly from: string; readonly points: readonly Point[] }

export interface OutlinedBlade {
  readonly lengthMm: number
  readonly widthMm: number
  readonly outline?: Outline | undefined
}

/** Share of a blade's length that is tang, where it was not said. */
const TANG_SHARE = 0.33
const TANG_WIDTH_SHARE = 0.5

/** The outline of a blade that was given none: a plain drop point with a third of its length as tang. */
export const plainOutline = ({ lengthMm, widthMm }: OutlinedBlade): Extract<Outline, { kind: 'drawn' }> => ({
  kind: 'drawn',
  tip: 'drop',
  tangMm: Math.round(lengthMm * TANG_SHARE),
  tangWidthMm: Math.round(widthMm * TANG_WIDTH_SHARE),
})

/**
 * Outline of a blade lying along x, spine up (y down), tang left, tip right, as an SVG path in mm that fills its length and
 * width. A drawn one is a likeness, never a measurement.
 */
export function outlinePath(blade: OutlinedBlade): string {
  const { lengthMm: L, widthMm: W } = blade
  const outline = blade.outline ?? plainOutline(blade)
  if (outline.kind === 'imported')
    return `M${outline.points.map(([x, y]) => `${round(x * L)} ${round(y * W)}`).join('L')}Z`
  const heel = Math.min(L * 0.7, Math.max(L * 0.1, outline.tangMm))
  const tang = Math.min(W * 0.95, Math.max(W * 0.15, outline.tangWidthMm))
  const spine = W * 0.06
  return [
    `M0 ${round(spine)}`,
    `L${round(heel)} 0`,
    ...TIPS[outline.tip](L, W),
    `L${round(heel + W * 0.12)} ${round(W)}`,
    `L${round(heel)} ${round(W * 0.9)}`,
    `L${round(heel - W * 0.1)} ${round(spine + tang + W * 0.04)}`,
    `L0 ${round(spine + tang)}`,
    'Z',
  ].join(' ')
}

const round = (mm: number) => Math.round(mm * 100) / 100

/** From the spine before the tip to the edge behind it. */
const TIPS: Readonly<Record<TipShape, (L: number, W: number) => string[]>> = {
  drop: (L, W) => [
    `L${round(L * 0.72)} 0`,
    `Q${round(L * 0.93)} ${round(W * 0.1)} ${round(L)} ${round(W * 0.62)}`,
    `Q${round(L * 0.9)} ${round(W)} ${round(L * 0.74)} ${round(W)}`,
  ],
  straight: (L, W) => [`L${round(L)} 0`, `Q${round(L * 0.93)} ${round(W)} ${round(L * 0.7)} ${round(W)}`],
  clip: (L, W) => [
    `L${round(L * 0.66)} 0`,
    `Q${round(L * 0.84)} ${round(W * 0.34)} ${round(L)} ${round(W * 0.3)}`,
    `Q${round(L * 0.92)} ${round(W)} ${round(L * 0.72)} ${round(W)}`,
  ],
  sheepsfoot: (L, W) => [
    `L${round(L * 0.82)} 0`,
    `Q${round(L * 0.97)} ${round(W * 0.2)} ${round(L)} ${round(W * 0.96)}`,
    `L${round(L * 0.96)} ${round(W)}`,
  ],
}

/** The same outline end for end, or upside down. */
export const flipped = (points: readonly Point[], way: 'ends' | 'sides'): Point[] =>
  points.map(([x, y]) => (way === 'ends' ? [1 - x, y] : [x, 1 - y]))
