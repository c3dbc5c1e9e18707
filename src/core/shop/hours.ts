import { z } from 'zod'
import { rule } from './problems'
import type { ReadOnly } from './read-only'

/** From and to, min from the day's midnight; past midnight goes on into the next day. */
const spanSchema = z
  .tuple([z.int().min(0).max(1440), z.int().min(0).max(2880)])
  .refine(([from, to]) => to > from, rule('most-below-least'))

const daySchema = z.array(spanSchema).max(4)

/** When hands are at work. */
export const hoursSchema = z.object({
  /** Monday first. */
  week: z.array(daySchema).length(7),
  /** Days that differ, by their date 'YYYY-MM-DD'. */
  days: z.record(z.string().regex(/^\d{4}-\d{2}-\d{2}$/), daySchema).optional(),
  /** The oven may heat up before hands are there. */
  heatsAlone: z.boolean(),
})

export type Hours = ReadOnly<z.infer<typeof hoursSchema>>
export type DaySpan = Hours['week'][number][number]

/** Where nothing is said: Monday to Saturday, eight to six. */
export const USUAL_HOURS: Hours = {
  week: Array.from({ length: 7 }, (_, day) => (day === 6 ? [] : [[480, 1080]])),
  heatsAlone: false,
}

/** The hours of one day, Monday 0 to Sunday 6. */
export const hoursOn = (hours: Hours, date: string, weekday: number): readonly DaySpan[] =>
  hours.days?.[date] ?? hours.week[weekday] ?? []
