import { solveInPlace } from '../numeric/solve'

/**
 * Thermal nodes joined by conductances (W/K), stepped implicitly (backward Euler): a small dense system, filled anew each step. Of a
 * longer row of temperatures it takes the first `FIXED` and those past `skipTo`; what lies between is a chain its owner eliminates.
 */
export class NodeSystem {
  private a = new Float64Array(0)
  private b = new Float64Array(0)
  private t: Float64Array = new Float64Array(0)
  private n = 0
  private skipTo = 0
  private dtS = 1
  /** Nodes that lose to the room in this step: the first so many of those ever noted. */
  private lost = 0
  private readonly lostNodes: number[] = []
  private readonly lostWPerK: number[] = []

  constructor(private readonly roomC: number) {}

  /** Begins a step over temperatures that `solve` will change in place. */
  clear(t: Float64Array, dtS: number, skipTo: number): this {
    this.t = t
    this.dtS = dtS
    this.skipTo = skipTo
    this.n = t.length - skipTo - 1 + FIXED
    if (this.b.length !== this.n) {
      this.a = new Float64Array(this.n * this.n)
      this.b = new Float64Array(this.n)
    } else {
      this.a.fill(0)
      this.b.fill(0)
    }
    this.lost = 0
    return this
  }

  private row(i: number): number {
    return i < FIXED ? i : i - this.skipTo - 1 + FIXED
  }

  private add(index: number, value: number) {
    this.a[index] = (this.a[index] as number) + value
  }

  /** Heat capacity of a node, J/K. */
  store(node: number, capacityJPerK: number) {
    const i = this.row(node)
    const inertia = capacityJPerK / this.dtS
    this.add(i * this.n + i, inertia)
    this.b[i] = (this.b[i] as number) + inertia * (this.t[node] as number)
  }

  /** Joins two nodes, W/K. */
  link(one: number, other: number, wPerK: number) {
    const [i, j] = [this.row(one), this.row(other)]
    this.add(i * this.n + i, wPerK)
    this.add(j * this.n + j, wPerK)
    this.add(Math.min(i, j) * this.n + Math.max(i, j), -wPerK)
  }

  /** Joins a node to the room, W/K. */
  toRoom(node: number, wPerK: number) {
    this.heatAndHold(node, wPerK, wPerK * this.roomC)
    this.lostNodes[this.lost] = node
    this.lostWPerK[this.lost] = wPerK
    this.lost++
  }

  /** Power into a node, W. */
  heat(node: number, watts: number) {
    const i = this.row(node)
    this.b[i] = (this.b[i] as number) + watts
  }

  /** Adds the conductance and heat that an eliminated neighbour leaves with a node. */
  heatAndHold(node: number, wPerK: number, watts: number) {
    const i = this.row(node)
    this.add(i * this.n + i, wPerK)
    this.b[i] = (this.b[i] as number) + watts
  }

  /** Writes the temperatures after the step where they were. */
  solve() {
    solveInPlace(this.a, this.b, this.n)
    for (let i = 0; i < FIXED; i++) this.t[i] = this.b[i] as number
    for (let i = FIXED; i < this.n; i++) this.t[i - FIXED + this.skipTo + 1] = this.b[i] as number
  }

  /** Returns the heat lost to the room after the step, W. */
  lostW(): number {
    let sum = 0
    for (let i = 0; i < this.lost; i++)
      sum += (this.lostWPerK[i] as number) * ((this.t[this.lostNodes[i] as number] as number) - this.roomC)
    return sum
  }
}

/** Nodes before the chain. */
const FIXED = 4
