import type { SignalRule } from '../core/rockwell/control-chart'

/** What a point of a control chart stands out by, and what that usually means. */
export const RULE_WORDS: Readonly<Record<SignalRule, string>> = {
  beyond: 'beyond three sigmas: something else than the usual scatter',
  'two-of-three': 'two of three beyond two sigmas on one side: it has shifted',
  'four-of-five': 'four of five beyond one sigma on one side: it is shifting',
  'run-of-eight': 'eight in a row on one side: the mean has moved (oven, lot or tester)',
  'trend-of-six': 'six in a row rising or falling: a drift, as of a thermocouple',
}
