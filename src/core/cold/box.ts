/** Left free between blades standing on edge, and above them, mm. Common practice, no published source. */
const GAP_MM = 8
const ABOVE_MM = 20

export interface BoxBlade {
  readonly lengthMm: number
  readonly widthMm: number
  readonly thicknessMm: number
}

/** Where a box's blades stand: in rows on edge, layer on layer. */
export interface BoxLayout {
  readonly fits: number
  readonly layers: number
  readonly perLayer: number
  /** Blades longer than the box, by their place in the list. */
  readonly tooLong: readonly number[]
}

/** How many of these blades a box holds on edge with room for the coolant to pass between them; the thickest and widest set the pitch. */
export function boxLayout(
  box: { readonly length: number; readonly width: number; readonly depth: number },
  blades: readonly BoxBlade[],
): BoxLayout {
  const tooLong = blades.flatMap((blade, i) => (blade.lengthMm > box.length ? [i] : []))
  const own = blades.filter(blade => blade.lengthMm <= box.length)
  if (own.length === 0) return { fits: 0, layers: 0, perLayer: 0, tooLong }
  const thick = Math.max(...own.map(blade => blade.thicknessMm))
  const wide = Math.max(...own.map(blade => blade.widthMm))
  const long = Math.max(...own.map(blade => blade.lengthMm))
  const side = Math.floor((box.width - GAP_MM) / (thick + GAP_MM))
  const ends = Math.max(1, Math.floor(box.length / (long + GAP_MM)))
  const layers = Math.max(0, Math.floor((box.depth - ABOVE_MM) / (wide + GAP_MM)))
  const perLayer = Math.max(0, side) * ends
  return { fits: perLayer * layers, layers, perLayer, tooLong }
}
