import { ALUMINIUM_6061, STEEL_THERMAL } from '../../data/thermal'
import { solveInPlace } from '../oven/linear'
import { coolingCapacity, coolingConductivity, coolingEnthalpy } from './steel-enthalpy'

export interface Size {
  readonly thicknessMm: number
  readonly widthMm: number
  readonly lengthMm: number
}

export interface StackConditions {
  readonly contactWPerM2K: number
  /** From the plates to air, W/m²K. */
  readonly airWPerM2K: number
  readonly ambientC: number
  readonly martensiteStartC: number
}

const STEEL_CELLS = 5
const PLATE_CELLS = 12
const REST = PLATE_CELLS
/** SDIRK2: two implicit stages of one matrix, second order and stiffly stable. Source: Alexander (1977). */
const GAMMA = 1 - Math.SQRT1_2
const NEWTON_STEPS = 3

/**
 * One of two equal plates with half the blade above it: by symmetry heat flows only downward. The plate under the blade is
 * twelve cells, what lies beside it one node, joined by conduction along the plate. Heat content, not temperature, is what
 * is carried from step to step, so that the martensite's own heat is counted exactly.
 */
export class PlateStack {
  /** Plate under the blade from the contact outward, then the rest of it, °C. */
  private readonly plate: Float64Array
  private readonly dxM: number

  constructor(
    readonly plates: Size,
    startC: number,
  ) {
    this.plate = new Float64Array(PLATE_CELLS + 1).fill(startC)
    this.dxM = plates.thicknessMm / 1000 / PLATE_CELLS
  }

  /** Where the blade touches, °C. */
  get contactC(): number {
    return this.plate[0] as number
  }

  /** Mean of the whole plate under a blade of a size, °C. */
  meanC(blade: Size): number {
    const { under, rest } = this.areas(blade)
    let sum = 0
    for (let i = 0; i < PLATE_CELLS; i++) sum += this.plate[i] as number
    return (under * (sum / PLATE_CELLS) + rest * (this.plate[REST] as number)) / (under + rest)
  }

  private areas(blade: Size) {
    const { widthMm, lengthMm, thicknessMm } = this.plates
    const [w, l] = [Math.min(blade.widthMm, widthMm) / 1000, Math.min(blade.lengthMm, lengthMm) / 1000]
    const whole = (widthMm * lengthMm) / 1e6
    const under = w * l
    const rest = Math.max(1e-6, whole - under)
    const k = ALUMINIUM_6061.conductivity
    const t = thicknessMm / 1000
    // From the middle of what is under the blade to the middle of what is beside it, both ways.
    const sideways = (2 * k * t * l) / (w / 6 + Math.max(1e-3, widthMm / 1000 - w) / 6)
    const lengthways = (2 * k * t * w) / (l / 6 + Math.max(1e-3, lengthMm / 1000 - l) / 6)
    const edge = (2 * (widthMm + lengthMm) * thicknessMm) / 1e6
    return { under, rest, spread: sideways + lengthways, edge }
  }

  /**
   * Steps with a blade clamped (its half's cells from the middle outward, changed in place) or without one.
   */
  step(steel: Float64Array | null, blade: Size, conditions: StackConditions, dtS: number): void {
    const n = (steel ? STEEL_CELLS : 0) + PLATE_CELLS + 1
    const offset = steel ? STEEL_CELLS : 0
    const start = new Float64Array(n)
    if (steel) start.set(steel)
    start.set(this.plate, offset)
    const { storage, flow } = this.system(start, offset, blade, conditions)
    const heat = (t: Float64Array) => t.map((c, i) => storage(i).content(c))
    const h = dtS * GAMMA
    const before = heat(start)
    const first = this.stage(start, before, h, storage, flow, n)
    const k1 = heat(first).map((value, i) => (value - (before[i] as number)) / h)
    const base = before.map((value, i) => value + (1 - GAMMA) * dtS * (k1[i] as number))
    const second = this.stage(first, base, h, storage, flow, n)
    if (steel) steel.set(second.subarray(0, STEEL_CELLS))
    this.plate.set(second.subarray(offset))
  }

  /** Solves content(T) − h·flow(T) = base by Newton; the flow is linear, conductivities as they were. */
  private stage(
    guess: Float64Array,
    base: Float64Array,
    h: number,
    storage: (i: number) => Storage,
    flow: { readonly g: Float64Array; readonly source: Float64Array },
    n: number,
  ): Float64Array {
    const t = guess.slice()
    for (let round = 0; round < NEWTON_STEPS; round++) {
      const a = new Float64Array(n * n)
      const b = new Float64Array(n)
      for (let i = 0; i < n; i++) {
        const s = storage(i)
        let into = flow.source[i] as number
        for (let j = 0; j < n; j++) {
          const g = flow.g[i * n + j] as number
          into += g * (t[j] as number)
          a[i * n + j] = -h * g
        }
        a[i * n + i] = (a[i * n + i] as number) + s.slope(t[i] as number)
        b[i] = (base[i] as number) + h * into - s.content(t[i] as number)
      }
      solveInPlace(a, b, n)
      let largest = 0
      for (let i = 0; i < n; i++) {
        t[i] = (t[i] as number) + (b[i] as number)
        largest = Math.max(largest, Math.abs(b[i] as number))
      }
      if (largest < 1e-4) break
    }
    return t
  }

  private system(t: Float64Array, offset: number, blade: Size, conditions: StackConditions) {
    const n = t.length
    const { under, rest, spread, edge } = this.areas(blade)
    const { conductivity, densityKgPerM3, cp } = ALUMINIUM_6061
    const steelDx = blade.thicknessMm / 2000 / STEEL_CELLS
    const steelKg = STEEL_THERMAL.densityKgPerM3 * under * steelDx
    const cellJPerK = densityKgPerM3 * cp * under * this.dxM
    const restJPerK = densityKgPerM3 * cp * rest * (this.plates.thicknessMm / 1000)
    const msC = conditions.martensiteStartC
    const plateStorage: Storage = { content: c => cellJPerK * c, slope: () => cellJPerK }
    const restStorage: Storage = { content: c => restJPerK * c, slope: () => restJPerK }
    const steelStorage: Storage = {
      content: c => steelKg * coolingEnthalpy(c, msC),
      slope: c => steelKg * coolingCapacity(c, msC),
    }
    const storage = (i: number) => (i < offset ? steelStorage : i === n - 1 ? restStorage : plateStorage)
    const g = new Float64Array(n * n)
    const source = new Float64Array(n)
    const link = (i: number, j: number, w: number) => {
      g[i * n + i] = (g[i * n + i] as number) - w
      g[j * n + j] = (g[j * n + j] as number) - w
      g[i * n + j] = (g[i * n + j] as number) + w
      g[j * n + i] = (g[j * n + i] as number) + w
    }
    const toRoom = (i: number, w: number) => {
      g[i * n + i] = (g[i * n + i] as number) - w
      source[i] = (source[i] as number) + w * conditions.ambientC
    }
    for (let i = 0; i + 1 < offset; i++) {
      const k = coolingConductivity(((t[i] as number) + (t[i + 1] as number)) / 2)
      link(i, i + 1, (k * under) / steelDx)
    }
    if (offset > 0) {
      const k = coolingConductivity(t[offset - 1] as number)
      const resistance = steelDx / 2 / k + 1 / conditions.contactWPerM2K + this.dxM / 2 / conductivity
      link(offset - 1, offset, under / resistance)
    }
    for (let i = 0; i < PLATE_CELLS; i++) {
      if (i + 1 < PLATE_CELLS) link(offset + i, offset + i + 1, (conductivity * under) / this.dxM)
      link(offset + i, offset + REST, spread / PLATE_CELLS)
    }
    const air = conditions.airWPerM2K
    toRoom(offset + PLATE_CELLS - 1, air * under)
    // Open faces: what lies beside the blade shows both its sides, and with the blade gone the inner face as well.
    toRoom(offset + REST, air * (2 * rest + edge))
    if (offset === 0) toRoom(0, air * under)
    return { storage, flow: { g, source } }
  }
}

interface Storage {
  readonly content: (c: number) => number
  readonly slope: (c: number) => number
}

/** Half a blade at one temperature, from its middle outward. */
export const halfBlade = (c: number): Float64Array => new Float64Array(STEEL_CELLS).fill(c)

export const meanOf = (steel: Float64Array): number => steel.reduce((sum, c) => sum + c, 0) / steel.length
