import type { AdviceOption } from '../core/advice/option'
import type { FirstReason } from '../core/advice/order'
import type { Reach } from '../core/advice/reach'
import type { AirRefused, Caution } from '../core/codes/caution'
import { caution } from '../core/codes/caution'
import type { BandPart, WorkingLine } from '../core/codes/working'
import type { AirLimit } from '../core/cold/air-in-room'
import type { WhyNot } from '../core/day/limits'
import { firstWords, stepsOf, whyWords } from './advice'
import { AIR_LIMIT_SOURCES, AIR_LIMIT_WORDS, airUnit, cautionWords } from './cautions'
import { whyNotWords } from './day'
import { reachSentences } from './reach'
import type { Speaker } from './speaker'
import { bandPartWords, workingWords } from './working'

/** Parts of an answer that are said in codes. */
interface Coded {
  readonly cautions?: readonly Caution[]
  readonly working?: readonly WorkingLine[]
  readonly band?: readonly BandPart[]
  readonly limits?: readonly AirLimit[]
  readonly refused?: AirRefused | null
  readonly options?: readonly AdviceOption[]
  readonly why?: WhyNot
  readonly first?: FirstReason | null
  readonly whyNot?: Reach | null
}

/** An answer as programs outside get it: what is said in codes has its sentence beside it. */
export function spoken(answer: Coded, say: Speaker): object {
  const { cautions, working, band, limits, refused, options, why, first, whyNot, ...rest } = answer
  return {
    ...rest,
    ...(cautions && { cautions: cautions.map(one => ({ ...one, message: cautionWords(one, say) })) }),
    ...(working && { working: working.map(line => ({ ...line, ...workingWords(line, say) })) }),
    ...(band && { band: band.map(part => ({ ...part, name: bandPartWords(part) })) }),
    ...(limits && {
      limits: limits.map(limit => ({
        ...limit,
        code: limit.name,
        name: AIR_LIMIT_WORDS[limit.name],
        unit: airUnit(limit.gas),
        source: AIR_LIMIT_SOURCES[limit.name],
      })),
    }),
    ...(refused !== undefined && {
      refused: refused && cautionWords(caution('air-refused', refused), say),
      refusal: refused,
    }),
    ...(why && { why: { ...why, message: whyNotWords(why, say) } }),
    ...(options && {
      options: options.map(({ why, ...option }) => ({
        ...option,
        steps: stepsOf(option, say),
        why: whyWords({ ...option, why }, say),
        grounds: why,
      })),
    }),
    ...(whyNot !== undefined && {
      whyNot: whyNot && { ...whyNot, says: reachSentences(whyNot, 'this steel', say) },
    }),
    ...(first !== undefined && { first: first && options?.[0] ? firstWords(options[0], first) : null }),
  }
}
