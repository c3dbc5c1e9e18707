import type { z } from 'zod'
import type { Problem } from '../result'

/** A Zod issue in plain words, with its dotted path. */
export function problemsOf(error: z.ZodError): Problem[] {
  return error.issues.map(issue => ({ code: issue.code, message: wordsFor(issue), path: issue.path.join('.') }))
}

/** Every temperature's name ends in C: someone may have given °F. */
const isTemperature = (path: readonly PropertyKey[]) => /[a-z]C$/.test(String(path.at(-1)))

const COUNTED = { string: 'character', array: 'item' } as const

const limit = (size: number | bigint, origin: string): string => {
  const noun = COUNTED[origin as keyof typeof COUNTED]
  return noun ? `${size} ${noun}${size === 1 ? '' : 's'}` : `${size}`
}

function wordsFor(issue: z.core.$ZodIssue): string {
  if (issue.code === 'too_big')
    return `must be at most ${limit(issue.maximum, issue.origin)}${isTemperature(issue.path) ? ' (temperatures are in °C)' : ''}`
  if (issue.code === 'too_small') return `must be at least ${limit(issue.minimum, issue.origin)}`
  if (issue.code === 'invalid_type')
    return issue.message.includes('undefined') ? 'is missing' : `must be ${article(issue.expected)}`
  if (issue.code === 'unrecognized_keys') return `does not know ${issue.keys.join(', ')}`
  if (issue.code === 'invalid_value') return `must be one of ${issue.values.join(', ')}`
  return issue.message
}

/** Zod's name of a type, as a person says it. */
const SPOKEN: Readonly<Record<string, string>> = { int: 'whole number', array: 'list', record: 'object' }

function article(type: string): string {
  const spoken = SPOKEN[type] ?? type
  return /^[aeiou]/.test(spoken) ? `an ${spoken}` : `a ${spoken}`
}
