import type { YearCost } from '../cost/year-cost'
import { csvOf } from './csv'

const COLUMNS = ['begun', 'batch', 'blades', 'good', 'total', 'per_good_blade', 'currency'] as const

/** Returns the cost of a year's batches as CSV with a header (RFC 4180), one per line; money to the hundredth, in the shop's currency. */
export const costsCsv = ({ batches }: Pick<YearCost, 'batches'>, currency: string | undefined): string =>
  csvOf(
    batches.map(({ at, name, begun, good, total, perGood }) => ({
      begun: at,
      batch: name,
      blades: begun,
      good,
      total: total.toFixed(2),
      per_good_blade: perGood.toFixed(2),
      currency: currency ?? '',
    })),
    COLUMNS,
  )
