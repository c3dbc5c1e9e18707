import type * as z from 'zod/mini'
import { type Counted, type Problem, problem } from '../codes/problem'

/** Returns the problems of an input, each with its dotted path. `given` is the parsed input: it tells missing from wrong. */
export const problemsOf = (error: z.core.$ZodError, given: unknown): Problem[] =>
  error.issues.map(issue => problemOf(issue, issue.path.join('.'), given))

const COUNTED: Readonly<Record<string, Counted>> = { string: 'characters', array: 'items' }

/** Codes a schema's own rules name; a rule names its code in its parameters. */
const RULES = [
  'target-upside-down',
  'more-than-the-whole',
  'least-above-most',
  'chart-not-rising',
  'usual-outside-window',
  'most-below-least',
  'not-a-serial-pattern',
  'bad-session',
  'ids-not-apart',
] as const
type RuleCode = (typeof RULES)[number]

/** How a rule of a schema names what is wrong where it is broken. */
export const rule = (code: RuleCode, path: string[] = []) => ({ params: { code }, path })

/** Questions that can be asked in more than one shape, and how one says that it was none of them. */
const SHAPES = ['steel', 'foil', 'oven'] as const

/** How a question of several shapes says that it was none of them. */
export const shape = (of: (typeof SHAPES)[number]) => `${of}-shape` as const

function problemOf(issue: z.core.$ZodIssue, path: string, given: unknown): Problem {
  switch (issue.code) {
    case 'too_big':
      return problem('too-big', { most: Number(issue.maximum), counted: COUNTED[issue.origin] ?? 'number' }, path)
    case 'too_small':
      return problem('too-small', { least: Number(issue.minimum), counted: COUNTED[issue.origin] ?? 'number' }, path)
    case 'invalid_type':
      return at(given, issue.path) === undefined
        ? problem('missing', {}, path)
        : problem('wrong-type', { expected: issue.expected }, path)
    case 'unrecognized_keys':
      return problem('unknown-keys', { keys: issue.keys }, path)
    case 'invalid_value':
      return problem('not-one-of', { values: issue.values.map(String) }, path)
    case 'custom':
      return problem(RULES.find(code => code === issue.params?.code) ?? 'malformed', {}, path)
    case 'invalid_union': {
      const known = SHAPES.find(of => issue.message === shape(of))
      return known ? problem(shape(known), {}, path) : problem('malformed', {}, path)
    }
    default:
      return problem('malformed', {}, path)
  }
}

/** Returns the value at a path, or undefined. */
const at = (given: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Record<PropertyKey, unknown>)[key] : undefined,
    given,
  )
