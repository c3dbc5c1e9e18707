import { PLATE_METALS, type PlateMetal, STEEL_THERMAL } from '../../data/thermal'
import { coolingCapacity, coolingConductivity, coolingEnthalpy } from './steel-enthalpy'

export interface Size {
  readonly thicknessMm: number
  readonly widthMm: number
  readonly lengthMm: number
}

/** Plates: their size, and what they are made of where it is not aluminium 6061. */
export interface Plates extends Size {
  readonly metal?: PlateMetal | undefined
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
/** Beside a blade by less than this the plate is not a place of its own, m. */
const CLOSING_M = 0.01

/**
 * One of two equal plates with half the blade above it: by symmetry heat flows only downward. The plate under the blade is
 * twelve cells, what lies beside it one node, joined by conduction along the plate. Heat content, not temperature, is what
 * is carried from step to step, so that the martensite's own heat is counted exactly.
 */
export class PlateStack {
  /** Plate under the blade from the contact outward, then the rest of it, °C. */
  private readonly plate: Float64Array
  private readonly dxM: number
  private readonly metal: { readonly conductivity: number; readonly densityKgPerM3: number; readonly cp: number }
  /** Kept from step to step: a quench takes a thousand. */
  private readonly work = newWork()

  constructor(
    readonly plates: Plates,
    startC: number,
  ) {
    this.plate = new Float64Array(PLATE_CELLS + 1).fill(startC)
    this.dxM = plates.thicknessMm / 1000 / PLATE_CELLS
    this.metal = PLATE_METALS[plates.metal ?? 'aluminium-6061']
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
    const k = this.metal.conductivity
    const t = thicknessMm / 1000
    // From the middle of what is under the blade to the middle of what is beside it, both ways.
    const beside = (acrossM: number, bladeM: number, plateM: number) =>
      // A blade as wide as its plates has nothing beside it to spread into: the way there closes over the last centimetre.
      (Math.min(1, (plateM - bladeM) / CLOSING_M) * 2 * k * t * acrossM) / (plateM / 6)
    const sideways = beside(l, w, widthMm / 1000)
    const lengthways = beside(w, l, lengthMm / 1000)
    const edge = (2 * (widthMm + lengthMm) * thicknessMm) / 1e6
    return { under, rest, spread: sideways + lengthways, edge }
  }

  /** A copy that goes its own way: to try a blade without spending the plates. */
  clone(): PlateStack {
    const copy = new PlateStack(this.plates, 0)
    copy.copyFrom(this)
    return copy
  }

  copyFrom(other: PlateStack): void {
    this.plate.set(other.plate)
  }

  /**
   * Steps with a blade clamped (its half's cells from the middle outward, changed in place) or without one.
   */
  step(steel: Float64Array | null, blade: Size, conditions: StackConditions, dtS: number): void {
    const offset = steel ? STEEL_CELLS : 0
    const m = offset + PLATE_CELLS
    const t = this.work.t
    if (steel) t.set(steel)
    for (let i = 0; i <= PLATE_CELLS; i++) t[offset + i] = this.plate[i] as number
    this.assemble(offset, blade, conditions)
    const { before, base } = this.work
    const msC = conditions.martensiteStartC
    for (let i = 0; i <= m; i++) before[i] = this.content(i, offset, m, t[i] as number, msC)
    const h = dtS * GAMMA
    base.set(before)
    this.stage(offset, m, h, msC)
    for (let i = 0; i <= m; i++) {
      const k1 = (this.content(i, offset, m, t[i] as number, msC) - (before[i] as number)) / h
      base[i] = (before[i] as number) + (1 - GAMMA) * dtS * k1
    }
    this.stage(offset, m, h, msC)
    if (steel) for (let i = 0; i < STEEL_CELLS; i++) steel[i] = t[i] as number
    for (let i = 0; i <= PLATE_CELLS; i++) this.plate[i] = t[offset + i] as number
  }

  private content(i: number, offset: number, m: number, c: number, msC: number): number {
    const { steelKg, cellJPerK, restJPerK } = this.work
    return i < offset ? steelKg * coolingEnthalpy(c, msC) : i < m ? cellJPerK * c : restJPerK * c
  }

  private slope(i: number, offset: number, m: number, c: number, msC: number): number {
    const { steelKg, cellJPerK, restJPerK } = this.work
    return i < offset ? steelKg * coolingCapacity(c, msC) : i < m ? cellJPerK : restJPerK
  }

  /**
   * Solves content(T) − h·flow(T) = base by Newton, conductivities as they were. The cells are a chain, and each of the plate's is
   * joined to the rest of it: two sweeps along the chain and one equation for the rest solve it in proportion to the cells.
   */
  private stage(offset: number, m: number, h: number, msC: number): void {
    const { t, base, link, side, room, source, x, y, d } = this.work
    for (let round = 0; round < NEWTON_STEPS; round++) {
      const rest = t[m] as number
      let restDiagonal = this.slope(m, offset, m, rest, msC) + h * (room[m] as number)
      let restRight =
        (base[m] as number) +
        h * ((source[m] as number) - (room[m] as number) * rest) -
        this.content(m, offset, m, rest, msC)
      for (let i = 0; i < m; i++) {
        const c = t[i] as number
        const up = i > 0 ? (link[i - 1] as number) : 0
        const down = i + 1 < m ? (link[i] as number) : 0
        const beside = side[i] as number
        const out = room[i] as number
        let flow = (source[i] as number) - out * c + beside * (rest - c)
        if (i > 0) flow += up * ((t[i - 1] as number) - c)
        if (i + 1 < m) flow += down * ((t[i + 1] as number) - c)
        d[i] = this.slope(i, offset, m, c, msC) + h * (up + down + beside + out)
        x[i] = (base[i] as number) + h * flow - this.content(i, offset, m, c, msC)
        y[i] = h * beside
        restDiagonal += h * beside
        restRight += h * beside * (c - rest)
      }
      this.sweep(m, h)
      for (let i = offset; i < m; i++) {
        restRight += h * (side[i] as number) * (x[i] as number)
        restDiagonal -= h * (side[i] as number) * (y[i] as number)
      }
      const dRest = restRight / restDiagonal
      let largest = Math.abs(dRest)
      t[m] = rest + dRest
      for (let i = 0; i < m; i++) {
        const change = (x[i] as number) + (y[i] as number) * dRest
        t[i] = (t[i] as number) + change
        if (Math.abs(change) > largest) largest = Math.abs(change)
      }
      if (largest < 1e-4) break
    }
  }

  /** Solves the chain of `m` cells for its two right sides, in place: once along it and back. */
  private sweep(m: number, h: number): void {
    const { link, x, y, d } = this.work
    for (let i = 1; i < m; i++) {
      const off = -h * (link[i - 1] as number)
      const f = off / (d[i - 1] as number)
      d[i] = (d[i] as number) - f * off
      x[i] = (x[i] as number) - f * (x[i - 1] as number)
      y[i] = (y[i] as number) - f * (y[i - 1] as number)
    }
    x[m - 1] = (x[m - 1] as number) / (d[m - 1] as number)
    y[m - 1] = (y[m - 1] as number) / (d[m - 1] as number)
    for (let i = m - 2; i >= 0; i--) {
      const off = h * (link[i] as number)
      x[i] = ((x[i] as number) + off * (x[i + 1] as number)) / (d[i] as number)
      y[i] = ((y[i] as number) + off * (y[i + 1] as number)) / (d[i] as number)
    }
  }

  /** Links along the chain, to the rest of the plate and to the room, for the temperatures as they are. */
  private assemble(offset: number, blade: Size, conditions: StackConditions): void {
    const work = this.work
    const { t, link, side, room, source } = work
    const m = offset + PLATE_CELLS
    const { under, rest, spread, edge } = this.areas(blade)
    const { conductivity, densityKgPerM3, cp } = this.metal
    const steelDx = blade.thicknessMm / 2000 / STEEL_CELLS
    work.steelKg = STEEL_THERMAL.densityKgPerM3 * under * steelDx
    work.cellJPerK = densityKgPerM3 * cp * under * this.dxM
    work.restJPerK = densityKgPerM3 * cp * rest * (this.plates.thicknessMm / 1000)
    for (let i = 0; i <= m; i++) {
      side[i] = i >= offset && i < m ? spread / PLATE_CELLS : 0
      room[i] = 0
      source[i] = 0
    }
    for (let i = 0; i + 1 < offset; i++)
      link[i] = (coolingConductivity(((t[i] as number) + (t[i + 1] as number)) / 2) * under) / steelDx
    if (offset > 0) {
      const k = coolingConductivity(t[offset - 1] as number)
      link[offset - 1] = under / (steelDx / 2 / k + 1 / conditions.contactWPerM2K + this.dxM / 2 / conductivity)
    }
    for (let i = offset; i + 1 < m; i++) link[i] = (conductivity * under) / this.dxM
    const air = conditions.airWPerM2K
    const toRoom = (i: number, w: number) => {
      room[i] = (room[i] as number) + w
      source[i] = (source[i] as number) + w * conditions.ambientC
    }
    toRoom(m - 1, air * under)
    // Open faces: what lies beside the blade shows both its sides, and with the blade gone the inner face as well.
    toRoom(m, air * (2 * rest + edge))
    if (offset === 0) toRoom(0, air * under)
  }
}

const LONGEST = STEEL_CELLS + PLATE_CELLS + 1
const newWork = () => ({
  t: new Float64Array(LONGEST),
  before: new Float64Array(LONGEST),
  base: new Float64Array(LONGEST),
  link: new Float64Array(LONGEST),
  side: new Float64Array(LONGEST),
  room: new Float64Array(LONGEST),
  source: new Float64Array(LONGEST),
  x: new Float64Array(LONGEST),
  y: new Float64Array(LONGEST),
  d: new Float64Array(LONGEST),
  steelKg: 0,
  cellJPerK: 0,
  restJPerK: 0,
})

/** Half a blade at one temperature, from its middle outward. */
export const halfBlade = (c: number): Float64Array => new Float64Array(STEEL_CELLS).fill(c)

/** Mean temperature of the cells of a blade, °C. */
export const meanOf = (steel: Float64Array): number => steel.reduce((sum, c) => sum + c, 0) / steel.length
