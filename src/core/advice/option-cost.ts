import { EMBRITTLED_C, TELLS_HRC, VERDICT_COSTS } from '../../data/verdict-costs'
import type { AdviceOption } from './option'

export type Toughness = 'tougher' | 'softer-hardly-tougher' | 'less-tough' | 'as-tough'

/** Which way an option moves toughness; null where nothing is done. A tendency: no figure is given, as none is known. */
export function toughnessOf(
  option: Pick<AdviceOption, 'kind' | 'temper' | 'hrc'>,
  measuredHrc: number,
): Toughness | null {
  if (option.kind === 'accept' || option.kind === 'scrap') return null
  const change = option.hrc.mean - measuredHrc
  if (change > TELLS_HRC) return 'less-tough'
  if (change > -TELLS_HRC) return 'as-tough'
  const atC = option.kind === 'temper' ? (option.temper?.atC ?? 0) : 0
  return atC >= EMBRITTLED_C.from && atC <= EMBRITTLED_C.to ? 'softer-hardly-tougher' : 'tougher'
}

/** Returns the cost of an option in the shop's currency, or null without a price. */
export function costOf(
  kind: AdviceOption['kind'],
  prices: { readonly hour: number; readonly kWh?: number | undefined } | undefined,
): number | null {
  if (!prices) return null
  const { attendedH, kWh } = VERDICT_COSTS[kind]
  return attendedH * prices.hour + kWh * (prices.kWh ?? 0)
}
