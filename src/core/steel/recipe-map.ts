import { STEEL_MODEL } from '../../data/steel-model'
import { corrosionOf } from './corrosion'
import { grainPinning } from './grain'
import { type Hardened, hardened, temperedLast } from './metallurgy'
import { modelErrorOn } from './model-error'
import { type ShopExperience, standingOf } from './predict'
import type { Route } from './route'
import { correctedVariance, shopCorrection } from './shop-model'
import { chartShiftOf, compositionOf, isGrade, modelSteelOf, type Steel, shiftAt } from './steel'
import { parametersAfter, temperSteps } from './tempering'
import { elementSpreads, shiftRoute, spreadSd, withElement } from './variation'

export interface MapRange {
  readonly min: number
  readonly max: number
}

export interface RecipeMapRequest {
  readonly steel: Steel
  /** The route whose soak and tempers the map varies; its cold, times and count of tempers stay. */
  readonly route: Route
  readonly austenitizeC: MapRange
  readonly temperC: MapRange
  /** Points along each side. */
  readonly size: number
  readonly shop: ShopExperience | null
}

/** Finished hardness over austenitize (across) and temper (up), rows from the lowest temper; all of length size². */
export interface RecipeMap {
  readonly austenitizeC: readonly number[]
  readonly temperC: readonly number[]
  readonly hrc: readonly number[]
  readonly sd: readonly number[]
  readonly retained: readonly number[]
  /** Corrosion index over the plane. */
  readonly corrosion: readonly number[]
  /** By austenitize temperature: chromium in solution, wt%, and how well the grain is held. */
  readonly chromium: readonly number[]
  readonly pinning: readonly number[]
}

const steps = ({ min, max }: MapRange, size: number) =>
  Array.from({ length: size }, (_, i) => min + ((max - min) * i) / (size - 1))

/** A correction varies slowly: it is found on this many points a side and read between them. */
const COARSE = 13

/**
 * The recipe map with its bands, by first-order propagation: the austenite is solved once a column for each thing that
 * varies, the temper once a row, so the whole costs a few hundred solutions rather than thousands.
 */
export function recipeMap(request: RecipeMapRequest): RecipeMap {
  const { steel, route, size } = request
  const austenitizeC = steps(request.austenitizeC, size)
  const temperC = steps(request.temperC, size)
  const model = modelSteelOf(steel)
  const composition = compositionOf(steel)
  const chart = chartShiftOf(steel)
  const spreads = elementSpreads(steel)
  const { austenitizeSdC, temperSdC, soakSdMin } = STEEL_MODEL.shopTemperature
  const tempersAt = (atC: number) =>
    (route.tempers.length > 0 ? route.tempers : [{ atC, holdMin: 120 }]).map(temper => ({ ...temper, atC }))
  const bare: Route = { ...route, tempers: [] }

  const rowAt = (atC: number) => {
    const steps = temperSteps(tempersAt(atC))
    return { steps, shift: chart ? shiftAt(chart, steps.parameters.at(-1) ?? 0) : 0 }
  }
  const rows = temperC.map(atC => ({ at: rowAt(atC), warmer: rowAt(atC + temperSdC) }))
  const out = { hrc: [] as number[], sd: [] as number[], retained: [] as number[], corrosion: [] as number[] }
  const columns = austenitizeC.map(atC => {
    const at = { ...bare, austenitizeC: atC }
    const solve = (c = composition, r: Route = at) => hardened(c, model, r)
    const base = solve()
    return {
      base,
      lot: spreads.map(spread =>
        solve(withElement(composition, spread.element, (composition[spread.element] ?? 0) + spreadSd(spread))),
      ),
      run: [solve(composition, shiftRoute(at, austenitizeSdC, 0)), solve(composition, shiftRoute(at, 0, 0, soakSdMin))],
      pinning: grainPinning(base.austenite, atC),
    }
  })
  const correct = corrections(request)
  const errorOn = modelErrorOn(steel)
  rows.forEach((row, j) => {
    columns.forEach((column, i) => {
      const finished = temperedLast(column.base, row.at.steps)
      const hrcOf = (hard: Hardened, { steps, shift } = row.at) => Math.max(0, temperedLast(hard, steps).hrc + shift)
      const mean = Math.max(0, finished.hrc + row.at.shift)
      const away = (variants: readonly Hardened[]) => variants.reduce((sum, hard) => sum + (hrcOf(hard) - mean) ** 2, 0)
      const own = errorOn(austenitizeC[i] as number, row.at.steps.parameters.at(-1) ?? null).sdHrc
      const known = own ** 2 + away(column.lot)
      const run = away(column.run) + (hrcOf(column.base, row.warmer) - mean) ** 2
      const correction = correct(i, j)
      const left = correction ? correctedVariance(correction, known, run) : { readings: known, batch: 0 }
      out.hrc.push(Math.max(0, mean + (correction?.mean ?? 0)))
      out.sd.push(Math.sqrt(run + left.readings + left.batch))
      out.retained.push(finished.retained)
      out.corrosion.push(corrosionOf(column.base.austenite, row.at.steps.tempers, route.seconds800to500).index)
    })
  })
  return {
    austenitizeC,
    temperC,
    ...out,
    chromium: columns.map(c => c.base.austenite.Cr),
    pinning: columns.map(c => c.pinning),
  }
}

/** The shop's correction over the plane: found on a coarse grid, read between its points. */
function corrections({ steel, route, austenitizeC, temperC, size, shop }: RecipeMapRequest) {
  if (!shop || !isGrade(steel)) return () => null
  const coarseA = steps(austenitizeC, COARSE)
  const coarseT = steps(temperC, COARSE)
  const grid = coarseT.map(atC =>
    coarseA.map(a => {
      const tempers = (route.tempers.length > 0 ? route.tempers : [{ atC, holdMin: 120 }]).map(t => ({ ...t, atC }))
      const parameter = parametersAfter(tempers).at(-1) ?? null
      return shopCorrection(shop.model, standingOf(steel.id, { ...route, austenitizeC: a }, shop, parameter, true))
    }),
  )
  if (!grid[0]?.[0]) return () => null
  return (i: number, j: number) => {
    const x = (i / (size - 1)) * (COARSE - 1)
    const y = (j / (size - 1)) * (COARSE - 1)
    const i0 = Math.min(COARSE - 2, Math.floor(x))
    const j0 = Math.min(COARSE - 2, Math.floor(y))
    const at = (dj: number, di: number, of: 'mean' | 'sd' | 'nearness') => grid[j0 + dj]?.[i0 + di]?.[of] ?? 0
    const blend = (of: 'mean' | 'sd' | 'nearness') => {
      const low = at(0, 0, of) + (x - i0) * (at(0, 1, of) - at(0, 0, of))
      const high = at(1, 0, of) + (x - i0) * (at(1, 1, of) - at(1, 0, of))
      return low + (y - j0) * (high - low)
    }
    return { mean: blend('mean'), sd: blend('sd'), nearness: blend('nearness'), batchSdHrc: shop.model.batchSdHrc }
  }
}
