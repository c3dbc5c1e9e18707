import type { OvenLog } from '../../shop/oven-log'
import { csvOf } from '../csv'

/** An oven's log as CSV with a header (RFC 4180): seconds from its first sample, and what the display showed, °C. It is read back as it is. */
export const logCsv = ({ points }: Pick<OvenLog, 'points'>): string =>
  csvOf(
    points.map(([min, c]) => ({ seconds: Math.round(min * 60), celsius: c })),
    ['seconds', 'celsius'],
  )
