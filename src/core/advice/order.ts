import { USES } from '../../data/uses'
import { chance } from '../hardness/stage-reading'
import { missOf, type TargetHrc } from '../rockwell/target'
import type { AdviceOption, AdviceRequest, OptionKind } from './option'

/** Tempers after which a blade is finished. */
export const FINISHED_TEMPERS = 2

/**
 * Value of an option's hours as a probability of success: a further temper on a finished blade must gain a tenth, the second
 * temper, which is not optional, next to nothing. Common practice, no published source.
 */
const EFFORT = {
  accept: 0,
  temper: 0.02,
  temperAgain: 0.1,
  cold: 0.1,
  'anneal-and-reharden': 0.25,
  scrap: 0.6,
} as const
const RISK = { low: 0, some: 0.04, high: 0.15 } as const
/** A miss is worth this much of a hit where it is next to the target, and e-fold less each point away. Judged. */
const NEAR_MISS = { worth: 0.25, perHrc: 1 } as const
/** Corrosion resistance that a hot temper takes, as a probability of success at a use that lives of it. Judged. */
const ROBBED = 0.3
/** The use that is taken where none is named. */
const USUAL_USE = 'kitchen'
/** From this weight of corrosion on a use does not go over the secondary peak while something else reaches. */
const MINDS_RUST = 0.4
/** An option with this chance reaches the target. */
const REACHES = 0.2
/**
 * Keeping a blade is clearly worse than what has so much more of a chance, and that many times its own; days of hardening again
 * and rust are weighed against it only where it misses by so much, or has hardly a chance.
 */
const CLEARLY = { more: 0.15, times: 2, farHrc: 0.5, hopeless: 0.05 } as const

/** Gain of an option, less the cost of its hours, risk and lost corrosion resistance. For the order only, never shown. */
function worth(option: AdviceOption, { route, symptom, use }: AdviceRequest): number {
  const { inTargetProbability: hit, kind, why } = option
  const finished = route.tempers.length >= FINISHED_TEMPERS
  // An edge that has failed as it is asks for the heat: nothing is taken off for it.
  const effort = kind !== 'temper' || !finished ? EFFORT[kind] : symptom ? 0 : EFFORT.temperAgain
  const near = (1 - hit) * NEAR_MISS.worth * Math.exp(-Math.abs(option.missHrc) / NEAR_MISS.perHrc)
  const rust = why.robsChromium ? ROBBED * USES[use ?? USUAL_USE].weight.corrosion : 0
  return hit + near - RISK[option.risk] - effort - rust
}

const JUST_BELOW = 1e-6

/** Options with what each is worth once the rules have had their say. */
function weighed(options: readonly AdviceOption[], request: AdviceRequest) {
  const rows = options.map(option => ({ option, worth: worth(option, request) }))
  const doing = rows.filter(({ option }) => option.kind !== 'accept' && option.kind !== 'scrap')
  const keep = rows.find(({ option }) => option.kind === 'accept')
  const below = (row: (typeof rows)[number], others: typeof rows) => {
    const best = Math.max(...others.map(other => other.worth))
    if (others.length > 0) row.worth = Math.min(row.worth, best - JUST_BELOW)
  }
  // Over the secondary peak only where nothing else reaches, or rust does not matter.
  const mindsRust = USES[request.use ?? USUAL_USE].weight.corrosion >= MINDS_RUST
  if (mindsRust) {
    const reaching = doing.filter(({ option: o }) => !o.why.robsChromium && o.inTargetProbability >= REACHES)
    for (const row of doing) if (row.option.why.robsChromium) below(row, reaching)
  }
  if (!keep) return rows
  // Keeping a blade that misses never stands before what has a clearly better chance, nor after what has a worse one.
  const { inTargetProbability: kept, missHrc } = keep.option
  const far = kept < CLEARLY.hopeless || Math.abs(missHrc) >= CLEARLY.farHrc
  const clearly = Math.max(kept + CLEARLY.more, kept * CLEARLY.times)
  /** Whether a miss of a few tenths is not worth an option. */
  const isTooDear = ({ kind, why }: AdviceOption) =>
    !far && (kind === 'anneal-and-reharden' || (mindsRust && why.robsChromium))
  below(
    keep,
    doing.filter(({ option }) => option.inTargetProbability >= clearly && !isTooDear(option)),
  )
  const isWorse = (option: AdviceOption) => option.inTargetProbability < kept || isTooDear(option)
  for (const row of doing) if (isWorse(row.option)) below(row, [keep])
  return rows
}

/** Returns options, best first: by chance in target and the distance of a miss, less hours, risk and lost corrosion resistance. */
export const inOrder = (options: readonly AdviceOption[], request: AdviceRequest): AdviceOption[] =>
  weighed(options, request)
    .sort((a, b) => b.worth - a.worth)
    .map(({ option }) => option)

/** Why an option stands first: what it has more of than the next, and which reading would put another in its place. */
export interface FirstReason {
  readonly by: 'only' | 'chance' | 'nearer' | 'effort' | 'corrosion'
  /** The option it was weighed against; null where there is none. */
  readonly against: OptionKind | null
  /** Chances of both, 0..1. */
  readonly chance: number
  readonly otherChance: number
  /** Reading, HRC, from which another would be first, and which; null where none within READING_SPAN_HRC does. */
  readonly turns: { readonly readingHrc: number; readonly to: OptionKind } | null
}

const READING_SPAN_HRC = 3
const READING_STEP_HRC = 0.1
/** Chances nearer than this do not tell two options apart. */
const SAME_CHANCE = 0.05

/** The same options had the reading been other: what carries the reading on moves with it. */
const hadItRead = (options: readonly AdviceOption[], wanted: TargetHrc, byHrc: number): AdviceOption[] =>
  options.map(option => {
    if (option.kind === 'anneal-and-reharden' || option.kind === 'scrap') return option
    const hrc = { ...option.hrc, mean: option.hrc.mean + byHrc }
    return { ...option, hrc, missHrc: missOf(hrc.mean, wanted), inTargetProbability: chance(hrc, wanted) }
  })

/** Returns why the first of ordered options is first; null where there is no option. */
export function firstReason(options: readonly AdviceOption[], request: AdviceRequest): FirstReason | null {
  const [first, second] = options.filter(option => option.kind !== 'scrap')
  if (!first) return null
  const { wanted, measured } = first.why
  const steps = Array.from({ length: READING_SPAN_HRC / READING_STEP_HRC }, (_, i) => (i + 1) * READING_STEP_HRC)
  const turn = steps
    .flatMap(step => [step, -step])
    .map(byHrc => ({ byHrc, to: inOrder(hadItRead(options, wanted, byHrc), request)[0]?.kind ?? first.kind }))
    .find(({ to }) => to !== first.kind)
  return {
    by: second ? comparedBy(first, second) : 'only',
    against: second?.kind ?? null,
    chance: first.inTargetProbability,
    otherChance: second?.inTargetProbability ?? 0,
    turns: turn ? { readingHrc: measured.mean + turn.byHrc, to: turn.to } : null,
  }
}

function comparedBy(first: AdviceOption, second: AdviceOption): FirstReason['by'] {
  const more = first.inTargetProbability - second.inTargetProbability
  if (more > SAME_CHANCE) return 'chance'
  if (second.why.robsChromium && !first.why.robsChromium) return 'corrosion'
  if (Math.abs(first.missHrc) < Math.abs(second.missHrc) - 0.1) return 'nearer'
  return 'effort'
}
