import type { System } from './quantity'
import { cFromF, fFromC } from './temperature'

/** Step of suggested settings in the scale the shop reads: a finer figure pretends to a control no oven has. */
export const SETTING_STEP = 5

const stepped = (celsius: number, system: System, round: (value: number) => number): number => {
  const [to, from] = system === 'metric' ? [(c: number) => c, (c: number) => c] : [fFromC, cFromF]
  return from(round(to(celsius) / SETTING_STEP) * SETTING_STEP)
}

// A limit that lies on a step but for rounding in the other scale is on it.
const SLACK = 1e-6

/**
 * The nearest temperature that can be keyed in, °C: whole fives in the shown scale.
 * @example settingC(1065.6, 'metric') // 1065
 */
export const settingC = (celsius: number, system: System): number => stepped(celsius, system, Math.round)

/**
 * The nearest such temperature within limits, °C; between limits that hold none, the limit itself.
 * @example settingWithin(1066, { minC: 1040, maxC: 1066 }, 'imperial') // 1065.56, which is 1950 °F
 */
export function settingWithin(
  celsius: number,
  { minC, maxC }: { readonly minC: number; readonly maxC: number },
  system: System,
): number {
  const least = stepped(minC, system, value => Math.ceil(value - SLACK))
  const most = stepped(maxC, system, value => Math.floor(value + SLACK))
  if (least > most) return Math.min(maxC, Math.max(minC, celsius))
  return Math.min(most, Math.max(least, settingC(celsius, system)))
}

/** Every temperature that can be keyed in between limits, °C, rising; every `each`th of them. Empty where there is none. */
export function settingsBetween(minC: number, maxC: number, system: System, each = 1): number[] {
  const stepC = system === 'metric' ? SETTING_STEP : SETTING_STEP / 1.8
  const least = stepped(minC, system, value => Math.ceil(value - SLACK))
  const count = Math.floor((maxC - least) / (each * stepC) + SLACK)
  return Array.from({ length: Math.max(0, count + 1) }, (_, i) => least + i * each * stepC)
}
