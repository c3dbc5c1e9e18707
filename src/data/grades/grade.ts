/** Alloying elements the model knows, wt%. */
export const ELEMENTS = ['C', 'N', 'Si', 'Mn', 'Cr', 'Mo', 'W', 'V', 'Nb', 'Ni', 'Co', 'Cu'] as const
export type Element = (typeof ELEMENTS)[number]

/** Composition in wt%; what is not named is 0 (iron is the rest). */
export interface Composition extends Readonly<Partial<Record<Element, number>>> {
  readonly C: number
}

/** Mill's range: least and most of each element, wt%. */
export type CompositionRange = Readonly<Partial<Record<Element, readonly [least: number, most: number]>>>

/** The route a tempering chart was measured on. */
export interface ReferenceRoute {
  readonly austenitizeC: number
  readonly soakMin: number
  readonly quenchedToC: number
  readonly coldToC: number | null
  readonly temperHoldMin: number
  readonly temperCount: number
}

export interface TemperingChart {
  readonly reference: ReferenceRoute
  /** [temper °C, HRC], rising in temperature. */
  readonly points: readonly (readonly [temperC: number, hrc: number])[]
  readonly source: string
  /** Values recalled, not looked up. */
  readonly recalled?: true
}

/** One heating step held until the load is even, before the soak. */
export interface Equalise {
  readonly atC: number
  readonly holdMin: number
}

/** Slow cooling from a hold, to make hardened steel soft again. */
export interface AnnealCycle {
  readonly atC: number
  readonly holdMin: number
  readonly coolCPerH: number
  readonly downToC: number
  readonly source: string
}

export const CORROSION_CLASSES = ['sea', 'kitchen', 'careful', 'rusts'] as const
/** Corrosion class, best first: salt water; kitchen; spots if left wet; rusts. */
export type CorrosionClass = (typeof CORROSION_CLASSES)[number]

export const QUENCH_NEEDS = ['plates', 'medium-oil', 'fast-oil'] as const
/** The gentlest quench that hardens a blade through. */
export type QuenchNeed = (typeof QUENCH_NEEDS)[number]

export const GRADE_FAMILIES = ['stainless', 'high-alloy', 'low-alloy'] as const
export type GradeFamily = (typeof GRADE_FAMILIES)[number]

export interface Grade {
  /** Identity that everything planned for it refers to; it stays when the name is corrected. */
  readonly id: string
  /** First name: EN/ISO designation; how a shipped grade is asked for over HTTP. */
  readonly name: string
  /** Other standard designations (AISI, UNS, EN number). */
  readonly alsoNamed: readonly string[]
  readonly family: GradeFamily
  /** How it is cast: atomised powder has finer carbides, which dissolve sooner. */
  readonly made: 'ingot' | 'powder'
  readonly nominal: Composition
  readonly range: CompositionRange
  readonly compositionSource: string
  readonly austenitize: {
    readonly minC: number
    readonly maxC: number
    readonly defaultC: number
    readonly source: string
  }
  readonly soak: { readonly minMin: number; readonly maxMin: number; readonly source: string }
  readonly equalise: readonly Equalise[]
  /** Highest temper that keeps corrosion resistance or toughness, and the lowest worth doing. */
  readonly temper: { readonly minC: number; readonly maxC: number; readonly source: string }
  /** Quench needed to harden fully: longest time from 800 to 500 °C, s. */
  readonly quench: { readonly slowest800to500S: number; readonly needs: QuenchNeed; readonly source: string }
  readonly cold: { readonly advice: 'worth it' | 'optional' | 'no use'; readonly why: string }
  readonly chart: TemperingChart | null
  /** Where austenite begins to form on heating, °C. */
  readonly a1: { readonly c: number; readonly source: string }
  readonly anneal: AnnealCycle
  readonly stressRelief: { readonly atC: number; readonly holdMin: number; readonly source: string }
  readonly corrosionClass: CorrosionClass
  readonly usualTarget: { readonly minHrc: number; readonly maxHrc: number }
  readonly note: string
}
