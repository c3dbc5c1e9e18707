/** Left free between blades standing on edge, and above them, mm. Common practice, no published source. */
const GAP_MM = 8
const ABOVE_MM = 20

/** Inside of a box, mm. */
export interface BoxMm {
  readonly length: number
  readonly width: number
  readonly depth: number
}

export interface BoxBlade {
  readonly lengthMm: number
  readonly widthMm: number
  readonly thicknessMm: number
}

/** Where a blade stands: its near corner along the box, across it and up from its floor, mm. */
export interface BoxPlace {
  readonly blade: number
  readonly alongMm: number
  readonly acrossMm: number
  readonly upMm: number
}

/** Where a box's blades stand: in rows on edge, layer on layer. */
export interface BoxLayout {
  readonly fits: number
  readonly layers: number
  readonly perLayer: number
  /** Blades longer than the box, by their place in the list. */
  readonly tooLong: readonly number[]
  /** Those that go in at once. */
  readonly places: readonly BoxPlace[]
}

/** How many of these blades a box holds on edge with room for the coolant to pass between them; the thickest and widest set the pitch. */
export function boxLayout(box: BoxMm, blades: readonly BoxBlade[]): BoxLayout {
  const tooLong = blades.flatMap((blade, i) => (blade.lengthMm > box.length ? [i] : []))
  const own = blades.flatMap((blade, i) => (blade.lengthMm <= box.length ? [{ blade, i }] : []))
  if (own.length === 0) return { fits: 0, layers: 0, perLayer: 0, tooLong, places: [] }
  const thick = Math.max(...own.map(({ blade }) => blade.thicknessMm))
  const wide = Math.max(...own.map(({ blade }) => blade.widthMm))
  const long = Math.max(...own.map(({ blade }) => blade.lengthMm))
  const side = Math.max(0, Math.floor((box.width - GAP_MM) / (thick + GAP_MM)))
  const ends = Math.max(1, Math.floor(box.length / (long + GAP_MM)))
  const layers = Math.max(0, Math.floor((box.depth - ABOVE_MM) / (wide + GAP_MM)))
  const perLayer = side * ends
  const fits = perLayer * layers
  const places = own.slice(0, fits).map(({ i }, n): BoxPlace => {
    const inLayer = n % perLayer
    return {
      blade: i,
      alongMm: Math.floor(inLayer / side) * (long + GAP_MM),
      acrossMm: GAP_MM + (inLayer % side) * (thick + GAP_MM),
      upMm: Math.floor(n / perLayer) * (wide + GAP_MM),
    }
  })
  return { fits, layers, perLayer, tooLong, places }
}

/** How a bath stands in a box with blades in it. */
export interface BathLevel {
  /** From the floor to the surface, mm; more than the box is deep when it would run over. */
  readonly levelMm: number
  /** Share of the blades' height that is under it, 0..1; 1 without blades. */
  readonly covered: number
  /** Bath volume that covers the highest blade, L. */
  readonly litresToCover: number
}

/**
 * The level of a bath about blades on edge, by what they push aside: the volume below a level is the box's area times it, less
 * the steel below it. Solved by bisection.
 */
export function bathLevel(box: BoxMm, blades: readonly BoxBlade[], layout: BoxLayout, litres: number): BathLevel {
  const areaMm2 = box.length * box.width
  const standing = layout.places.map(({ blade, upMm }) => ({ ...(blades[blade] as BoxBlade), upMm }))
  const under = (level: number) =>
    standing.map(b => b.lengthMm * b.thicknessMm * Math.min(b.widthMm, Math.max(0, level - b.upMm)))
  const fluidMm3 = (level: number) => areaMm2 * level - under(level).reduce((sum, mm3) => sum + mm3, 0)
  const wanted = litres * 1e6
  let [low, high] = [0, (wanted + under(Number.MAX_VALUE).reduce((a, b) => a + b, 0)) / areaMm2]
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (fluidMm3(middle) < wanted) low = middle
    else high = middle
  }
  const levelMm = (low + high) / 2
  const whole = standing.reduce((sum, b) => sum + b.lengthMm * b.thicknessMm * b.widthMm, 0)
  const top = Math.max(0, ...standing.map(b => b.upMm + b.widthMm))
  return {
    levelMm,
    covered: whole === 0 ? 1 : under(levelMm).reduce((a, b) => a + b, 0) / whole,
    litresToCover: fluidMm3(top) / 1e6,
  }
}

/** Returns how often a box that holds so many blades is filled for all of them. */
export const goesOf = (blades: number, fits: number): number => Math.ceil(blades / Math.max(1, fits))
