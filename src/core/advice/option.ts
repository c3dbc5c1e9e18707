import type { AnnealCycle } from '../../data/grades'
import type { UseName } from '../../data/uses'
import type { Estimate } from '../codes/result'
import type { StageReading, Symptom } from '../hardness/stage-reading'
import type { TargetHrc } from '../rockwell/target'
import type { ShopExperience } from '../steel/predict'
import type { ColdTreatment, Route } from '../steel/route'
import type { Steel } from '../steel/steel'
import type { Temper } from '../steel/tempering'
import type { System } from '../units/quantity'

export interface AdviceRequest {
  readonly steel: Steel
  /** Route completed so far, without the later steps of the plan. */
  readonly route: Route
  readonly reading: StageReading
  readonly target: TargetHrc
  readonly symptom: Symptom
  /** Use of the blade: how much a loss of corrosion resistance weighs; absent: as in a kitchen. */
  readonly use?: UseName | undefined
  /** Correction by the shop's readings for a hardening begun anew; absent: none. */
  readonly experience?: ShopExperience | null | undefined
  readonly can: {
    readonly coldToC: number | null
    readonly anneal: boolean
    /** The hottest its oven can hold, °C, and the thickest blade, mm: for hardening again; absent: what the grade needs, and 3 mm. */
    readonly ovenMaxC?: number | undefined
    readonly thicknessMm?: number | undefined
    /** The quench oil there is, for other steels; absent: plates alone. */
    readonly oil?: 'medium-oil' | 'fast-oil' | undefined
    /** The scale the tempering oven is keyed in. */
    readonly system: System
  }
}

export type OptionKind = 'accept' | 'temper' | 'cold' | 'anneal-and-reharden' | 'scrap'

/** Grounds of an option; hardness in HRC. */
export interface AdviceReason {
  /** Measured hardness, and the target with the symptom at the edge taken into account. */
  readonly measured: StageReading
  readonly wanted: TargetHrc
  /** By how much it should move, HRC; 0 where nothing is done. */
  readonly changeHrc: number
  /** Hotter than this a temper takes chromium out of the steel. */
  readonly robsChromium: boolean
  /** Corrosion index lost by it. */
  readonly lostCorrosion: number
  /** Cold after a temper turns only a part of the retained austenite. */
  readonly lateCold: boolean
  /** Outside this range the grade is not usually tempered; null where the way stays inside it, or the steel has none. */
  readonly leavesRange: { readonly minC: number; readonly maxC: number } | null
  /** The symptom at the edge is not what such a hardness does: what else makes it is asked about first. */
  readonly notByHardness: boolean
}

export interface AdviceOption {
  readonly kind: OptionKind
  /** The temper to add, for kind 'temper' and 'cold'. */
  readonly temper: Temper | null
  /** The cold treatment to add, for kind 'cold'. */
  readonly cold: ColdTreatment | null
  /** How to make it soft, and the route that then comes nearest to what is wanted, for kind 'anneal-and-reharden'. */
  readonly anneal: AnnealCycle | null
  readonly again: Route | null
  /** Oil that a hardening begun anew is quenched in; null between plates. */
  readonly oil: 'medium-oil' | 'fast-oil' | null
  readonly hrc: Estimate
  /** Expected hardness over (positive) or under (negative) the target, HRC; 0 within it. */
  readonly missHrc: number
  readonly inTargetProbability: number
  readonly hours: number
  readonly corrosion: number
  readonly risk: 'low' | 'some' | 'high'
  readonly why: AdviceReason
}
