import type { z } from 'zod'
import type { Problem } from '../result'

/** A Zod issue in plain words, with its dotted path. */
export function problemsOf(error: z.ZodError): Problem[] {
  return error.issues.map(issue => ({ code: issue.code, message: wordsFor(issue), path: issue.path.join('.') }))
}

function wordsFor(issue: z.core.$ZodIssue): string {
  if (issue.code === 'too_big')
    return `must be at most ${issue.maximum}${issue.origin === 'string' ? ' characters' : issue.origin === 'array' ? ' items' : ''}`
  if (issue.code === 'too_small')
    return `must be at least ${issue.minimum}${issue.origin === 'string' ? ' characters' : issue.origin === 'array' ? ' items' : ''}`
  if (issue.code === 'invalid_type')
    return issue.message.includes('undefined') ? 'is missing' : `must be ${article(issue.expected)}`
  if (issue.code === 'unrecognized_keys') return `does not know ${issue.keys.join(', ')}`
  if (issue.code === 'invalid_value') return `must be one of ${issue.values.join(', ')}`
  return issue.message
}

const article = (type: string) => (/^[aeiou]/.test(type) ? `an ${type}` : `a ${type}`)
