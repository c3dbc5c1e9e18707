import type { Workshop } from '../core/shop/workshop'
import { CORRECTION } from '../data/correction'
import { PROTECTION } from '../data/protection'
import { ROCKWELL } from '../data/rockwell'
import type { SetupStep } from '../data/setup'
import type { Speaker } from './speaker'

/** The things asked in the first hour. */
export const SETUP_NAMES: Readonly<Record<SetupStep, string>> = {
  units: 'Units and currency',
  oven: 'Oven and controller',
  plates: 'Quench plates',
  cold: 'Cold treatment',
  tester: 'Hardness tester or files',
  prices: 'Foil and prices',
}

/** Why each is asked. */
export const SETUP_WHY: Readonly<Record<SetupStep, string>> = {
  units: 'Every figure is shown in these. Every field still reads both, such as 1065, 1950F or 1/8in.',
  oven: 'Heating times, the programme you key and the power taken come from your oven.',
  plates: 'Thickness and air decide how fast a blade cools, and how many blades go in one after another.',
  cold: 'Routes use only the cold you have. Without any, the soak is kept lower.',
  tester: 'What you measure corrects the predictions. Without a tester, files tell the hardness in a range.',
  prices: 'What a blade costs, which way to keep air out is cheaper, and how sheets are cut from your roll.',
}

/** Says the typical values used while a step is not answered. */
export function assumedWords(step: SetupStep, shop: Workshop, say: Speaker): string {
  const oven = shop.ovens.find(o => o.id === shop.hardeningOvenId) ?? shop.ovens[0]
  switch (step) {
    case 'units':
      return 'Units are those of your browser’s language; confirm the currency of prices.'
    case 'oven':
      return `An oven of ${((oven?.powerW ?? 0) / 1000).toFixed(1)} kW is assumed.`
    case 'plates':
      return `Aluminium plates of ${say.length(shop.plates.thicknessMm)} with compressed air are assumed.`
    case 'cold':
      return 'Dry ice in alcohol is assumed.'
    case 'tester':
      return 'A tester with a dial is assumed.'
    default:
      return `Foil at ${say.perLength(shop.foil.pricePerM)} on a roll ${say.length(shop.foil.rollWidthMm)} wide and ${say.money(shop.prices?.hour ?? PROTECTION.prices.hour)} for an hour of your work are assumed.`
  }
}

/** Says the uncertainty added while a step is not answered. The factor of two is that of the usual range of contact in `data/thermal`; the rest is common practice, no published source. */
export function uncertainWords(step: SetupStep, say: Speaker): string {
  switch (step) {
    case 'units':
      return 'No figure depends on it, but costs are left out.'
    case 'oven':
      return `Heating times may be wrong by minutes, and a small oven often runs ${say.d(CORRECTION.priorSdK)} off what it shows.`
    case 'plates':
      return 'Cooling times may be wrong by a factor of two, and with them the hardness of steels that need a fast quench.'
    case 'cold':
      return 'A route may ask for cold that you cannot give; the blade then stays one to several HRC softer.'
    case 'tester':
      return `A tester is permitted ${ROCKWELL.permissibleErrorHrc} HRC of error (ISO 6508-2); one that was never checked on a block may be further off.`
    default:
      return 'Every cost is worked out with invented prices until then. No hardness depends on them.'
  }
}

/** Said beside a cost as long as its prices are nobody's. */
export const INVENTED_PRICES = 'Worked out with usual prices, not yours yet.'
