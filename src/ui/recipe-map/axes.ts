import type { RecipeMap } from '../../core/steel/recipe-map'
import type { PlotBox } from './contours'

export interface MapPoint {
  readonly key: string
  readonly austenitizeC: number
  readonly temperC: number
  /** The one that is worked on; others are drawn hollow. */
  readonly active: boolean
  /** Its hardness, where it is not read off this map (another cold treatment); null: read off. */
  readonly hrc: number | null
}

/** Limits of steel, oven and foil, °C; null if there is none to show. */
export interface MapLimits {
  readonly ovenMaxC: number
  /** Where the ordinary foil ends and where the hotter one does. */
  readonly foils: readonly { readonly name: string; readonly maxC: number }[]
  /** Above it tempers rob chromium. */
  readonly robsAboveC: number | null
}

/** Pixels of the map's two temperatures. */
export interface MapAxes {
  readonly box: PlotBox
  readonly austenitizeC: { readonly min: number; readonly max: number }
  readonly temperC: { readonly min: number; readonly max: number }
  readonly x: (austenitizeC: number) => number
  readonly y: (temperC: number) => number
  readonly at: (x: number, y: number) => { austenitizeC: number; temperC: number }
  readonly place: (point: Pick<MapPoint, 'austenitizeC' | 'temperC'>) => readonly [number, number]
}

export function axesOf(map: RecipeMap, box: PlotBox): MapAxes {
  const ends = (values: readonly number[]) => ({ min: values[0] ?? 0, max: values.at(-1) ?? 1 })
  const austenitizeC = ends(map.austenitizeC)
  const temperC = ends(map.temperC)
  const x = (c: number) =>
    box.left + ((c - austenitizeC.min) / (austenitizeC.max - austenitizeC.min)) * (box.right - box.left)
  const y = (c: number) => box.bottom - ((c - temperC.min) / (temperC.max - temperC.min)) * (box.bottom - box.top)
  return {
    box,
    austenitizeC,
    temperC,
    x,
    y,
    at: (px, py) => ({
      austenitizeC:
        austenitizeC.min + ((px - box.left) / (box.right - box.left)) * (austenitizeC.max - austenitizeC.min),
      temperC: temperC.min + ((box.bottom - py) / (box.bottom - box.top)) * (temperC.max - temperC.min),
    }),
    place: point => [x(point.austenitizeC), y(point.temperC)],
  }
}
