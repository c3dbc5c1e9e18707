import { type BENT_AT, type COLOURS, INSPECTION } from '../../data/inspection'
import { STEEL_MODEL } from '../../data/steel-model'
import { STEEL_THERMAL } from '../../data/thermal'
import type { Nothing, Said } from '../codes/said'
import { halfWidth95 } from '../numeric/coverage'
import { airLoss } from '../quench/air-loss'
import { coolingCapacity } from '../quench/steel-enthalpy'

/** Findings on one blade when its foil came off. */
export interface Inspection {
  /** Feeler gauge under the blade on a flat, mm; null: not measured. */
  readonly bowMm: number | null
  readonly bentAt: (typeof BENT_AT)[number] | null
  readonly cracked: boolean
  readonly colour: (typeof COLOURS)[number] | null
  /** Hardest file that slides off and softest that bites, HRC; null: not tried. */
  readonly skates: number | null
  readonly bites: number | null
  /** A first reading, HRC. */
  readonly hrc: number | null
}

/** A blade that was looked at, and nothing found. */
export const NOTHING_FOUND: Inspection = {
  bowMm: null,
  bentAt: null,
  cracked: false,
  colour: null,
  skates: null,
  bites: null,
  hrc: null,
}

export type InspectVerdict = 'go' | 'straighten' | 'find-out' | 'stop'

export interface Inspected {
  readonly verdict: InspectVerdict
  readonly reasons: readonly Finding[]
}

/** Bow a blade may keep, mm. */
export const bowLimitMm = (lengthMm: number): number =>
  Math.max(INSPECTION.leastBowMm, Math.round((INSPECTION.bowMmPer100 * lengthMm) / 10) / 10)

interface Blade {
  readonly lengthMm: number
  readonly thicknessMm: number
}
interface Expected {
  readonly mean: number
  readonly sd: number
}

const SEVERITY: readonly InspectVerdict[] = ['go', 'straighten', 'find-out', 'stop']

/** Findings on a blade as its foil came off. Lengths in mm. */
export interface FindingCodes {
  crack: Nothing
  flaking: Nothing
  grey: Nothing
  'bow-within': { readonly bowMm: number; readonly limitMm: number }
  'bow-over': {
    readonly bowMm: number
    readonly limitMm: number
    readonly bentAt: Inspection['bentAt']
    readonly thicknessMm: number
    /** Whether the excess can be ground out of the blade's thickness. */
    readonly grindable: boolean
  }
  'files-disagree': { readonly skates: number; readonly bites: number }
  'soft-reading': { readonly hrc: number; readonly dueHrc: number }
  'soft-file': { readonly bites: number; readonly dueHrc: number }
  'as-due': { readonly hrc: number; readonly dueHrc: number; readonly dueSd: number }
  'file-skates': { readonly skates: number }
}
export type Finding = Said<FindingCodes>
const finding = <C extends keyof FindingCodes>(code: C, params: FindingCodes[C]): Finding =>
  ({ code, params }) as Finding

/** Go, straighten, find out first, or stop; every finding with its reason, the gravest decides. */
export function inspect(seen: Inspection, blade: Blade, asQuenched: Expected | null): Inspected {
  const found: { verdict: InspectVerdict; reason: Finding }[] = []
  const say: Say = (verdict, reason) => found.push({ verdict, reason })
  if (seen.cracked) say('stop', finding('crack', {}))
  bowFinding(seen, blade, say)
  if (seen.colour === 'flaking') say('find-out', finding('flaking', {}))
  if (seen.colour === 'grey') say('go', finding('grey', {}))
  // Of a steel that is not known nothing was due: file and reading then say nothing.
  if (asQuenched) hardnessFinding(seen, asQuenched, say)
  const verdict = found.reduce<InspectVerdict>(
    (worst, f) => (SEVERITY.indexOf(f.verdict) > SEVERITY.indexOf(worst) ? f.verdict : worst),
    'go',
  )
  // What is well is not said beside what is not.
  const said = verdict === 'go' ? found : found.filter(f => f.verdict !== 'go')
  return { verdict, reasons: said.map(f => f.reason) }
}

type Say = (verdict: InspectVerdict, reason: Finding) => void

function bowFinding({ bowMm, bentAt }: Inspection, { lengthMm, thicknessMm }: Blade, say: Say) {
  if (bowMm === null) return
  const limitMm = bowLimitMm(lengthMm)
  if (bowMm <= limitMm) return say('go', finding('bow-within', { bowMm, limitMm }))
  const grindable = bowMm <= INSPECTION.grindableShare * thicknessMm
  say('straighten', finding('bow-over', { bowMm, limitMm, bentAt, thicknessMm, grindable }))
}

function hardnessFinding({ skates, bites, hrc }: Inspection, { mean: dueHrc, sd: dueSd }: Expected, say: Say) {
  const least = dueHrc - halfWidth95(dueSd) - INSPECTION.softByHrc
  if (skates !== null && bites !== null && skates >= bites)
    return say('find-out', finding('files-disagree', { skates, bites }))
  if (hrc !== null)
    return hrc < least
      ? say('find-out', finding('soft-reading', { hrc, dueHrc }))
      : say('go', finding('as-due', { hrc, dueHrc, dueSd }))
  if (bites !== null && bites < least) return say('find-out', finding('soft-file', { bites, dueHrc }))
  if (skates !== null) say('go', finding('file-skates', { skates }))
}

/** When a blade can still be set by hand: from workable to a third martensite, °C, and the seconds that takes in still air. */
export interface WarmWindow {
  readonly fromC: number
  readonly toC: number
  readonly seconds: number
}

const DT_S = 0.5
const LONGEST_S = 3600

/** Source: martensite by Koistinen and Marburger (1959); cooling lumped, bare, in still air. */
export function warmWindow(thicknessMm: number, martensiteStartC: number, ambientC = 25): WarmWindow {
  const { workableMartensite, workableFromC } = INSPECTION
  const toC = Math.max(ambientC + 20, martensiteStartC + Math.log(1 - workableMartensite) / STEEL_MODEL.retained.perK)
  const kgPerM2 = (STEEL_THERMAL.densityKgPerM3 * thicknessMm) / 2000
  const fromC = Math.max(toC, Math.min(workableFromC, martensiteStartC + 100))
  let c = fromC
  let seconds = 0
  while (c > toC && seconds < LONGEST_S) {
    c -= (airLoss(c, 'still-air', false, ambientC) * DT_S) / (kgPerM2 * coolingCapacity(c, martensiteStartC))
    seconds += DT_S
  }
  return { fromC, toC, seconds }
}
