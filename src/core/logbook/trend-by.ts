/** Keys by which trends of finished batches are grouped. */
export const TREND_BY = ['grade', 'recipe', 'oven', 'lot'] as const
export type TrendBy = (typeof TREND_BY)[number]
