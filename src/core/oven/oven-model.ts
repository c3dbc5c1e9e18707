import { OVEN_PHYSICS, type OvenBuild, WALL_MATERIALS } from '../../data/ovens'
import { FOIL_THERMAL, STEEL_THERMAL, STEFAN_BOLTZMANN } from '../../data/thermal'
import { solveInPlace } from '../numeric/solve'
import { kelvinFromC } from '../units/temperature'
import { heatingCp } from './lag'
import { type WallGrid, wallGrid } from './wall'

/** An oven in enough detail to follow its walls. */
export interface DetailedOven {
  readonly powerW: number
  readonly chamberMm: { readonly width: number; readonly height: number; readonly depth: number }
  readonly build: OvenBuild
}

/** Equal blades on the rack, each in foil. */
export interface OvenLoad {
  readonly thicknessMm: number
  readonly widthMm: number
  readonly lengthMm: number
  readonly count: number
  /** How freely each sees the chamber, 0..1. */
  readonly view: number
}

const AMBIENT_C = 20
const GRAVITY = 9.81
const AIR_CP = 1005
/** Least heat capacity of a node, so that air can be stepped with the rest, J/K. */
const AIR_CAPACITY = 40

const ELEMENT = 0
const AIR = 1
const FURNITURE = 2
const WALL = 3

const cubes = (aC: number, bC: number) => {
  const a = kelvinFromC(aC)
  const b = kelvinFromC(bC)
  return STEFAN_BOLTZMANN * (a * a + b * b) * (a + b)
}

/**
 * An oven as nodes: elements, air, furniture, the wall's cells, and foil and blade of every load. Radiation is linearised in
 * kelvin about the present state and each step is solved implicitly (backward Euler), so that any step is stable.
 * `energyJ` follows what the elements took; `lostJ` what left through shell, leak and door, for the balance.
 */
export class OvenModel {
  readonly grid: WallGrid
  temperatures: Float64Array
  indicatedC = AMBIENT_C
  energyJ = 0
  lostJ = 0
  private loads: { load: OvenLoad; readonly node: number; in: boolean }[] = []
  private readonly shell: number
  /** Kept from step to step: a programme takes thousands. */
  private matrix = new Float64Array(0)

  constructor(
    readonly oven: DetailedOven,
    startC = AMBIENT_C,
  ) {
    this.grid = wallGrid(oven.chamberMm, oven.build)
    this.shell = WALL + this.grid.cells.length - 1
    this.temperatures = new Float64Array(this.shell + 1).fill(startC)
    this.indicatedC = startC
  }

  get chamberC(): number {
    // What a thermocouple and a blade see: mostly the walls' glow, a little the air.
    return 0.75 * (this.temperatures[WALL] as number) + 0.25 * (this.temperatures[AIR] as number)
  }

  /** Puts blades in at a temperature; gives the handle to read them by. */
  insert(load: OvenLoad, atC = AMBIENT_C): number {
    const node = this.temperatures.length
    const grown = new Float64Array(node + 2)
    grown.set(this.temperatures)
    grown[node] = atC
    grown[node + 1] = atC
    this.temperatures = grown
    this.loads.push({ load, node, in: true })
    return this.loads.length - 1
  }

  /** Takes blades out; their last temperature stays readable. */
  remove(handle: number): void {
    const load = this.loads[handle]
    if (load) load.in = false
  }

  /** Blades see more or less of the chamber as others come and go. */
  setView(handle: number, view: number): void {
    const entry = this.loads[handle]
    if (entry) entry.load = { ...entry.load, view }
  }

  bladeC(handle: number): number {
    const node = this.loads[handle]?.node
    return node === undefined ? Number.NaN : (this.temperatures[node + 1] as number)
  }

  /** Heat held above room temperature, J: for the balance. */
  contentJ(): number {
    const t = this.temperatures
    const { element, furnitureJPerK } = this.oven.build
    let sum = element.capacityJPerK * ((t[ELEMENT] as number) - AMBIENT_C)
    sum += AIR_CAPACITY * ((t[AIR] as number) - AMBIENT_C) + furnitureJPerK * ((t[FURNITURE] as number) - AMBIENT_C)
    this.grid.cells.forEach((cell, i) => {
      sum += cell.capacityJPerK * ((t[WALL + i] as number) - AMBIENT_C)
    })
    return sum
  }

  /** One step at a share of full power, door open or shut. */
  step(share: number, doorOpen: boolean, dtS: number): void {
    const n = this.temperatures.length
    const t = this.temperatures
    const a = this.matrix.length === n * n ? this.matrix.fill(0) : new Float64Array(n * n)
    this.matrix = a
    const b = new Float64Array(n)
    const { build, powerW } = this.oven
    const link = (i: number, j: number, g: number) => {
      a[i * n + i] = (a[i * n + i] as number) + g
      a[j * n + j] = (a[j * n + j] as number) + g
      a[i * n + j] = (a[i * n + j] as number) - g
      a[j * n + i] = (a[j * n + i] as number) - g
    }
    const lost: { node: number; g: number }[] = []
    const toRoom = (i: number, g: number) => {
      a[i * n + i] = (a[i * n + i] as number) + g
      b[i] = (b[i] as number) + g * AMBIENT_C
      lost.push({ node: i, g })
    }
    const store = (i: number, capacity: number) => {
      const inertia = capacity / dtS
      a[i * n + i] = (a[i * n + i] as number) + inertia
      b[i] = (b[i] as number) + inertia * (t[i] as number)
    }
    const p = OVEN_PHYSICS
    const power = doorOpen ? 0 : share * powerW
    store(ELEMENT, build.element.capacityJPerK)
    b[ELEMENT] = (b[ELEMENT] as number) + power
    store(AIR, AIR_CAPACITY)
    store(FURNITURE, build.furnitureJPerK)
    this.grid.cells.forEach((cell, i) => {
      store(WALL + i, cell.capacityJPerK)
    })
    const at = (i: number) => t[i] as number
    const hot = this.grid.hotAreaM2
    const wallK = build.wall?.k ?? 1
    const exchange = 1 / (1 / p.emissivityElement + (build.element.areaM2 / hot) * (1 / p.emissivityWall - 1))
    link(ELEMENT, WALL, build.element.areaM2 * exchange * cubes(at(ELEMENT), at(WALL)))
    link(ELEMENT, AIR, build.element.areaM2 * p.hInsideWPerM2K)
    link(AIR, WALL, hot * p.hInsideWPerM2K)
    const rackM2 = build.furnitureJPerK / 15_000
    link(FURNITURE, WALL, rackM2 * p.emissivityWall * cubes(at(FURNITURE), at(WALL)))
    this.grid.cells.forEach((cell, i) => {
      const next = this.grid.cells[i + 1]
      if (!next) return
      const k = wallK * WALL_MATERIALS[cell.material].k(at(WALL + i))
      const kNext = wallK * WALL_MATERIALS[next.material].k(at(WALL + i + 1))
      link(WALL + i, WALL + i + 1, 1 / (cell.halfM / (k * cell.areaM2) + next.halfM / (kNext * next.areaM2)))
    })
    const last = this.grid.cells.at(-1)
    const shellC = at(this.shell)
    const rise = Math.max(0.1, shellC - AMBIENT_C)
    const outside = p.shellConvection * rise ** (1 / 3) + p.shellEmissivity * cubes(shellC, AMBIENT_C)
    const kLast = last ? wallK * WALL_MATERIALS[last.material].k(shellC) : 1
    toRoom(this.shell, this.grid.shellAreaM2 / ((last?.halfM ?? 0) / kLast + 1 / outside))
    toRoom(WALL, build.leakWPerK)
    if (doorOpen) this.openDoor(toRoom)
    for (const { load, node, in: inside } of this.loads) this.linkLoad(load, node, inside, store, link)
    solveInPlace(a, b, n)
    this.temperatures = b
    this.energyJ += power * dtS
    for (const { node, g } of lost) this.lostJ += g * ((b[node] as number) - AMBIENT_C) * dtS
    this.indicatedC += (this.chamberC - this.indicatedC) * (1 - Math.exp(-dtS / p.thermocoupleTauS))
  }

  /** Air pours out below and in above, and the opening glows into the room. */
  private openDoor(toRoom: (i: number, g: number) => void) {
    const { width, height } = this.oven.chamberMm
    const [w, h] = [width / 1000, height / 1000]
    const airK = kelvinFromC(this.temperatures[AIR] as number)
    const inside = 353 / airK
    const outside = 353 / kelvinFromC(AMBIENT_C)
    const flow =
      outside *
      (OVEN_PHYSICS.doorDischarge / 3) *
      w *
      h ** 1.5 *
      Math.sqrt((GRAVITY * Math.max(0, outside - inside)) / outside)
    toRoom(AIR, flow * AIR_CP)
    toRoom(WALL, w * h * cubes(this.temperatures[WALL] as number, AMBIENT_C))
  }

  private linkLoad(
    load: OvenLoad,
    node: number,
    inside: boolean,
    store: (i: number, capacity: number) => void,
    link: (i: number, j: number, g: number) => void,
  ) {
    const f = FOIL_THERMAL
    const faceM2 = (2 * load.lengthMm * load.widthMm * load.count) / 1e6
    const [foilC, bladeC] = [this.temperatures[node] as number, this.temperatures[node + 1] as number]
    const kg = (load.lengthMm * load.widthMm * load.thicknessMm * load.count * STEEL_THERMAL.densityKgPerM3) / 1e9
    store(node, faceM2 * f.heatCapacityJPerM2K)
    store(node + 1, kg * heatingCp(bladeC))
    const meanC = (foilC + bladeC) / 2
    const gap = (0.0243 * (kelvinFromC(meanC) / 273.15) ** 0.8) / (f.gapMm / 1000)
    const between = gap + cubes(foilC, bladeC) / (1 / f.emissivityInside + 1 / f.emissivityBlade - 1)
    link(node, node + 1, faceM2 * between)
    if (!inside) return
    const wallC = this.temperatures[WALL] as number
    link(node, WALL, (faceM2 * cubes(wallC, foilC)) / (1 / f.emissivityOutside + 1 / load.view - 1))
    link(node, AIR, faceM2 * OVEN_PHYSICS.hInsideWPerM2K * 0.5)
  }
}
