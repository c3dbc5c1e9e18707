import { type BENT_AT, type COLOURS, INSPECTION } from '../../data/inspection'
import { STEEL_MODEL } from '../../data/steel-model'
import { STEEL_THERMAL } from '../../data/thermal'
import { airLoss } from './air-loss'
import { coolingCapacity } from './steel-enthalpy'

/** What was seen of one blade when its foil came off. */
export interface Inspection {
  /** Feeler gauge under the blade on a flat, mm; null: not measured. */
  readonly bowMm: number | null
  readonly bentAt: (typeof BENT_AT)[number] | null
  readonly cracked: boolean
  readonly colour: (typeof COLOURS)[number] | null
  /** Hardest file that skates and softest that bites, HRC; null: not tried. */
  readonly skates: number | null
  readonly bites: number | null
  /** A first reading, HRC. */
  readonly hrc: number | null
}

export type InspectVerdict = 'go' | 'straighten' | 'find-out' | 'stop'

export interface Inspected {
  readonly verdict: InspectVerdict
  readonly reasons: readonly string[]
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

/** Go, straighten, find out first, or stop; every finding with its reason, the gravest decides. */
export function inspect(seen: Inspection, blade: Blade, asQuenched: Expected | null): Inspected {
  const found: { verdict: InspectVerdict; reason: string }[] = []
  const say = (verdict: InspectVerdict, reason: string) => found.push({ verdict, reason })
  if (seen.cracked)
    say(
      'stop',
      'A crack does not heal: do not chill or temper it further for use. Mark it, keep it apart, and look at the edge and corners of its sisters.',
    )
  bowFinding(seen, blade, say)
  if (seen.colour === 'flaking')
    say(
      'find-out',
      'Dark scale that flakes: its packet leaked, and the skin has lost carbon. Grind a spot clean and read the hardness there before it goes on.',
    )
  if (seen.colour === 'grey')
    say('go', 'Even dull grey is the little air that was in the packet: it comes off with the finish.')
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

type Say = (verdict: InspectVerdict, reason: string) => void

function bowFinding({ bowMm, bentAt }: Inspection, blade: Blade, say: Say) {
  if (bowMm === null) return
  const limit = bowLimitMm(blade.lengthMm)
  if (bowMm <= limit) {
    say('go', `${bowMm} mm of bow is within ${limit} mm for its length.`)
    return
  }
  const where = bentAt === 'twist' ? 'twisted' : bentAt ? `bent at the ${bentAt}` : 'bent'
  const grindable = INSPECTION.grindableShare * blade.thicknessMm
  say(
    'straighten',
    bowMm <= grindable
      ? `${bowMm} mm, ${where}, over ${limit} mm: it can be ground out of ${blade.thicknessMm} mm, or set while warm or at the first temper.`
      : `${bowMm} mm, ${where}, over ${limit} mm: set it while warm, or clamped at the first temper. Cold and untempered it snaps.`,
  )
}

function hardnessFinding({ skates, bites, hrc }: Inspection, { mean, sd }: Expected, say: Say) {
  const least = mean - 1.96 * sd - INSPECTION.softByHrc
  if (skates !== null && bites !== null && skates >= bites) {
    say('find-out', `A ${skates} HRC file cannot skate where one of ${bites} bites: try them again on a clean spot.`)
    return
  }
  const soft = (found: string) =>
    say(
      'find-out',
      `${found} but ${mean.toFixed(1)} HRC was due: soft skin, a soak cut short, a slow quench or another steel. Find out before the temper.`,
    )
  if (hrc !== null) {
    if (hrc < least) soft(`It reads ${hrc} HRC,`)
    else say('go', `${hrc} HRC is what was due, ${mean.toFixed(1)} ± ${(1.96 * sd).toFixed(1)}.`)
  } else if (bites !== null && bites < least) soft(`A ${bites} HRC file bites,`)
  else if (skates !== null) say('go', `A ${skates} HRC file skates: it hardened.`)
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
