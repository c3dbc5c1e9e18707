import * as z from 'zod/mini'
import { BOUNDS, type BoundName, LONGEST } from './bounds'

/** A number within limits, both included. */
export const between = (min: number, max: number) => z.number().check(z.minimum(min), z.maximum(max))
/** A whole number within limits, both included. */
export const wholeBetween = (min: number, max: number) => z.int().check(z.minimum(min), z.maximum(max))

/** A number within the limits of its name. */
export const bounded = (name: BoundName) => between(BOUNDS[name].min, BOUNDS[name].max)
/** A whole number within the limits of its name. */
export const wholeBounded = (name: BoundName) => wholeBetween(BOUNDS[name].min, BOUNDS[name].max)

/** A text of at most the length of its name. */
export const textUpTo = (name: keyof typeof LONGEST) => z.string().check(z.maxLength(LONGEST[name]))

/** The id of a record. */
export const id = z.string().check(z.minLength(1), z.maxLength(120))
/** A moment, ISO 8601 in UTC. */
export const instant = z.iso.datetime()
