/** What finished batches may be sorted out by. */
export const TREND_BY = ['grade', 'recipe', 'oven', 'lot'] as const
export type TrendBy = (typeof TREND_BY)[number]
