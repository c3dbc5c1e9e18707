import * as z from 'zod/mini'
import { wholeBetween } from './fields'
import { rule } from './problems'
import type { ReadOnly } from './read-only'

/** From and to, min from the day's midnight; past midnight goes on into the next day. */
const spanSchema = z
  .tuple([wholeBetween(0, 1440), wholeBetween(0, 2880)])
  .check(z.refine(([from, to]) => to > from, rule('most-below-least')))

const daySchema = z.array(spanSchema).check(z.maxLength(4))
/** Days that differ, by their date 'YYYY-MM-DD'. */
const daysSchema = z.record(z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}$/)), daySchema)

/** When hands are at work. */
export const hoursSchema = z.object({
  /** Monday first. */
  week: z.array(daySchema).check(z.length(7)),
  days: z.optional(daysSchema),
  /** The oven may heat up before hands are there. */
  heatsAlone: z.boolean(),
  /** When a second pair of hands is there beside the first; absent: never. */
  helper: z.optional(z.object({ week: z.array(daySchema).check(z.length(7)), days: z.optional(daysSchema) })),
})

export type Hours = ReadOnly<z.infer<typeof hoursSchema>>
export type DaySpan = Hours['week'][number][number]
/** One person's hours: each day of the week, and single days that differ. */
export type Presence = Pick<Hours, 'week' | 'days'>

/** Where nothing is said: Monday to Saturday, eight to six. */
export const USUAL_HOURS: Hours = {
  week: Array.from({ length: 7 }, (_, day) => (day === 6 ? [] : [[480, 1080]])),
  heatsAlone: false,
}

/** Hours of a helper who never comes. */
export const NEVER: Presence = { week: Array.from({ length: 7 }, () => []) }

/** The hours of one day, Monday 0 to Sunday 6. */
export const hoursOn = (hours: Presence, date: string, weekday: number): readonly DaySpan[] =>
  hours.days?.[date] ?? hours.week[weekday] ?? []
