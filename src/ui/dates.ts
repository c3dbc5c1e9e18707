import { format as formatDate } from 'date-fns/format'
import { formatDistanceToNowStrict } from 'date-fns/formatDistanceToNowStrict'

/** An instant as a day and time: '3 Mar, 14:06'; with the year when it is not this one. */
export function format(instant: string): string {
  const date = new Date(instant)
  return formatDate(date, date.getFullYear() === new Date().getFullYear() ? 'd MMM, HH:mm' : 'd MMM yyyy')
}

/** The day alone, short: '3 Mar'. */
export const day = (instant: string): string => formatDate(new Date(instant), 'd MMM')

/** How long ago: '3 days ago'. */
export const ago = (instant: string): string => formatDistanceToNowStrict(new Date(instant), { addSuffix: true })
