import type { SignalRule } from '../core/rockwell/control-chart'

/** Says which rule a point of a control chart breaks, and what that usually means. */
export const RULE_WORDS: Readonly<Record<SignalRule, string>> = {
  beyond: 'outside the limits: more than the usual scatter',
  'two-of-three': 'two of three far out on one side (beyond two standard deviations): the mean has moved',
  'four-of-five': 'four of five out on one side (beyond one standard deviation): the mean is moving',
  'run-of-eight': 'eight in a row on one side: the mean has moved (oven, lot or tester)',
  'trend-of-six': 'six in a row rising or falling: a drift, as of a thermocouple',
}
