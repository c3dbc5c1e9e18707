import { OVEN_PHYSICS, type OvenBuild } from '../../data/ovens'
import { FOIL_THERMAL, STEEL_THERMAL, STEFAN_BOLTZMANN } from '../../data/thermal'
import { kelvinFromC } from '../units/temperature'
import { heatingCp } from './lag'
import { NodeSystem } from './node-system'
import { type WallGrid, type WallRows, wallGrid } from './wall'

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

/** Less above the room than this tells nothing of how the heat lies in the walls, K. */
const LEAST_ABOVE_K = 30

const ELEMENT = 0
const AIR = 1
const FURNITURE = 2
const WALL = 3

const cubes = (aC: number, bC: number) => {
  const a = kelvinFromC(aC)
  const b = kelvinFromC(bC)
  return STEFAN_BOLTZMANN * (a * a + b * b) * (a + b)
}

/** Conductance of the half of a wall's cell at its temperature, W/K. */
function halfWPerK(rows: WallRows, i: number, tempC: number): number {
  const kelvin = kelvinFromC(tempC)
  return (
    (rows.k0[i] as number) + (rows.kPerC[i] as number) * tempC + (rows.kPerK3[i] as number) * kelvin * kelvin * kelvin
  )
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
  private readonly system = new NodeSystem(AMBIENT_C)
  private readonly wall: {
    readonly link: Float64Array
    readonly diagonal: Float64Array
    readonly right: Float64Array
    towardHot: number
    fromCells: number
    shellWPerK: number
  }

  constructor(
    readonly oven: DetailedOven,
    startC = AMBIENT_C,
    grid = wallGrid(oven.chamberMm, oven.build),
  ) {
    this.grid = grid
    this.shell = WALL + this.grid.cells.length - 1
    this.temperatures = new Float64Array(this.shell + 1).fill(startC)
    const cells = this.grid.cells.length
    this.wall = {
      link: new Float64Array(cells),
      diagonal: new Float64Array(cells),
      right: new Float64Array(cells),
      towardHot: 0,
      fromCells: 0,
      shellWPerK: 0,
    }
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

  /** An oven of its own that stands exactly as this one does now. */
  clone(): OvenModel {
    const copy = new OvenModel(this.oven, AMBIENT_C, this.grid)
    copy.temperatures = this.temperatures.slice()
    copy.indicatedC = this.indicatedC
    copy.energyJ = this.energyJ
    copy.lostJ = this.lostJ
    copy.loads = this.loads.map(entry => ({ ...entry }))
    return copy
  }

  /**
   * Brings elements, air, furniture and walls to a chamber whose display was read, in proportion to how far each is above the room;
   * from a cold oven along a line through the wall. Blades keep theirs.
   */
  settleAt(shownC: number): void {
    const t = this.temperatures
    const above = this.indicatedC - AMBIENT_C
    const ratio = (shownC - AMBIENT_C) / above
    for (let i = 0; i <= this.shell; i++) {
      const share = i <= WALL ? 1 : 1 - (i - WALL) / (this.shell - WALL + 1)
      t[i] =
        above > LEAST_ABOVE_K
          ? AMBIENT_C + ((t[i] as number) - AMBIENT_C) * ratio
          : AMBIENT_C + (shownC - AMBIENT_C) * share
    }
    this.indicatedC = shownC
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

  /**
   * One step at a share of full power, door open or shut. The wall's cells behind the hot face are a chain: they are eliminated in
   * one sweep from the shell inward, what is left is a handful of nodes, and the way back out gives the cells.
   */
  step(share: number, doorOpen: boolean, dtS: number): void {
    const t = this.temperatures
    const { build, powerW } = this.oven
    const { rows, hotAreaM2: hot } = this.grid
    const p = OVEN_PHYSICS
    const system = this.system.clear(t, dtS, this.shell)
    const at = (i: number) => t[i] as number
    const power = doorOpen ? 0 : share * powerW
    system.store(ELEMENT, build.element.capacityJPerK)
    system.heat(ELEMENT, power)
    system.store(AIR, AIR_CAPACITY)
    system.store(FURNITURE, build.furnitureJPerK)
    system.store(WALL, rows.capacityJPerK[0] as number)
    const exchange = 1 / (1 / p.emissivityElement + (build.element.areaM2 / hot) * (1 / p.emissivityWall - 1))
    system.link(ELEMENT, WALL, build.element.areaM2 * exchange * cubes(at(ELEMENT), at(WALL)))
    system.link(ELEMENT, AIR, build.element.areaM2 * p.hInsideWPerM2K)
    system.link(AIR, WALL, hot * p.hInsideWPerM2K)
    const rackM2 = build.furnitureJPerK / 15_000
    system.link(FURNITURE, WALL, rackM2 * p.emissivityWall * cubes(at(FURNITURE), at(WALL)))
    system.toRoom(WALL, build.leakWPerK)
    if (doorOpen) this.openDoor(system)
    for (const { load, node, in: inside } of this.loads) this.linkLoad(load, node, inside, system)
    this.sweepIn(dtS)
    system.heatAndHold(WALL, this.wall.towardHot, this.wall.fromCells)
    system.solve()
    this.sweepOut(dtS)
    this.energyJ += power * dtS
    this.lostJ += system.lostW() * dtS
    this.indicatedC += (this.chamberC - this.indicatedC) * (1 - Math.exp(-dtS / p.thermocoupleTauS))
  }

  /** Eliminates the wall's cells from the shell to the one behind the hot face. */
  private sweepIn(dtS: number) {
    const { link, diagonal, right } = this.wall
    const { rows, shellAreaM2, shellPerMiddle } = this.grid
    const { capacityJPerK } = rows
    const t = this.temperatures
    const last = link.length - 1
    const p = OVEN_PHYSICS
    let inner = halfWPerK(rows, 0, t[WALL] as number)
    for (let i = 0; i < last; i++) {
      const outer = halfWPerK(rows, i + 1, t[WALL + i + 1] as number)
      link[i] = (inner * outer) / (inner + outer)
      inner = outer
    }
    const shellC = t[this.shell] as number
    const rise = Math.max(0.1, shellC - AMBIENT_C)
    const outside = shellAreaM2 * (p.shellConvection * Math.cbrt(rise) + p.shellEmissivity * cubes(shellC, AMBIENT_C))
    const skin = inner * shellPerMiddle
    const shellWPerK = (skin * outside) / (skin + outside)
    this.wall.shellWPerK = shellWPerK
    // What lies further out leaves with each cell a conductance and the heat that comes over it.
    let [outwardWPerK, outwardW] = [shellWPerK, shellWPerK * AMBIENT_C]
    for (let i = last; i > 0; i--) {
      const inertia = (capacityJPerK[i] as number) / dtS
      const inward = link[i - 1] as number
      const d = inertia + inward + outwardWPerK
      const r = inertia * (t[WALL + i] as number) + outwardW
      diagonal[i] = d
      right[i] = r
      const share = inward / d
      outwardWPerK = inward - inward * share
      outwardW = r * share
    }
    this.wall.towardHot = outwardWPerK
    this.wall.fromCells = outwardW
  }

  /** The cells behind the hot face, now that it is known; and what the shell gave the room. */
  private sweepOut(dtS: number) {
    const { link, diagonal, right, shellWPerK } = this.wall
    const t = this.temperatures
    let inner = t[WALL] as number
    for (let i = 1; i < link.length; i++) {
      inner = ((right[i] as number) + (link[i - 1] as number) * inner) / (diagonal[i] as number)
      t[WALL + i] = inner
    }
    this.lostJ += shellWPerK * (inner - AMBIENT_C) * dtS
  }

  /** Air pours out below and in above, and the opening glows into the room. */
  private openDoor(system: NodeSystem) {
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
    system.toRoom(AIR, flow * AIR_CP)
    system.toRoom(WALL, w * h * cubes(this.temperatures[WALL] as number, AMBIENT_C))
  }

  private linkLoad(load: OvenLoad, node: number, inside: boolean, system: NodeSystem) {
    const f = FOIL_THERMAL
    const faceM2 = (2 * load.lengthMm * load.widthMm * load.count) / 1e6
    const [foilC, bladeC] = [this.temperatures[node] as number, this.temperatures[node + 1] as number]
    const kg = (load.lengthMm * load.widthMm * load.thicknessMm * load.count * STEEL_THERMAL.densityKgPerM3) / 1e9
    system.store(node, faceM2 * f.heatCapacityJPerM2K)
    system.store(node + 1, kg * heatingCp(bladeC))
    const meanC = (foilC + bladeC) / 2
    const gap = (0.0243 * (kelvinFromC(meanC) / 273.15) ** 0.8) / (f.gapMm / 1000)
    const between = gap + cubes(foilC, bladeC) / (1 / f.emissivityInside + 1 / f.emissivityBlade - 1)
    system.link(node, node + 1, faceM2 * between)
    if (!inside) return
    const wallC = this.temperatures[WALL] as number
    system.link(node, WALL, (faceM2 * cubes(wallC, foilC)) / (1 / f.emissivityOutside + 1 / load.view - 1))
    system.link(node, AIR, faceM2 * OVEN_PHYSICS.hInsideWPerM2K * 0.5)
  }
}
