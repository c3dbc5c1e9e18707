import type { AirLimitName, Caution, CautionCode, CautionCodes } from '../core/codes/caution'
import { roundTo } from '../core/numeric/round'
import type { Speaker } from './speaker'

type Words<C extends CautionCode> = (params: CautionCodes[C], say: Speaker) => string

export const AIR_LIMIT_WORDS: Readonly<Record<AirLimitName, string>> = {
  'eight-hours': '8-hour mean',
  'fifteen-minutes': '15-minute mean',
  'instant-co2': 'at no instant',
  'instant-oxygen': 'at no instant less than',
}
/** Whose limit it is. */
export const AIR_LIMIT_SOURCES: Readonly<Record<AirLimitName, string>> = {
  'eight-hours': 'OSHA PEL and EU 2006/15/EC, from memory',
  'fifteen-minutes': 'ACGIH TLV-STEL, from memory',
  'instant-co2': 'NIOSH IDLH, from memory',
  'instant-oxygen': 'OSHA 29 CFR 1910.134, from memory',
}
/** Returns the unit the air is judged by. */
export const airUnit = (gas: 'co2' | 'oxygen'): string => (gas === 'co2' ? 'ppm CO2' : '% oxygen')

const window = (p: { minC: number; maxC: number }, say: Speaker) =>
  `this grade’s ${say.bare(p.minC)} to ${say.t(p.maxC)}`

/** Every caution as a sentence. */
export const CAUTION_WORDS: { readonly [C in CautionCode]: Words<C> } = {
  'above-window': (p, say) =>
    `${say.t(p.atC)} is above ${window(p, say)}: the grain coarsens and more austenite is retained.`,
  'below-window': (p, say) => `${say.t(p.atC)} is below ${window(p, say)}: too little carbon dissolves.`,
  'long-soak': (p, say) =>
    `A soak of ${say.minutes(Math.round(p.soakMin))} is much longer than this grade’s usual ${say.minutes(p.usualMin)}.`,
  'coarse-grain': (p, say) =>
    `At ${say.t(p.atC)} too little carbide is left, so the grain coarsens. The edge turns brittle whatever its hardness.`,
  'lean-matrix': () => 'Less than 0.3 % carbon is in solution: it will not harden usefully. Soak hotter or longer.',
  'much-austenite': (p, say) =>
    `About ${say.percent(p.share)} retained austenite stays. Lower the austenitize temperature or add cold.`,
  'low-ms': () => 'Martensite starts only just above room temperature. Without cold the blade stays soft.',
  'slow-quench': (p, say) =>
    `${Math.round(p.seconds)} s from ${say.bare(800)} to ${say.t(500)} is too slow for this grade: about ${say.percent(p.softShare)} of it turns soft, and no later step mends that.`,
  'short-cold': (p, say) =>
    `${say.minutes(p.holdMin)} is too short for this thickness: the blade comes to ${say.t(p.reachedC)}, not to ${say.t(p.toC)}. Hold it longer.`,
  'late-cold': (p, say) =>
    `Cold ${say.minutes(p.delayMin)} after the quench does much less: austenite that rests at room temperature stabilises.`,
  'robbed-chromium': (_, say) =>
    `Tempers above about ${say.t(400)} take chromium out of the steel around each new carbide: the edge rusts sooner.`,
  'second-temper': (_, say) =>
    `Above ${say.t(450)} the austenite turns to fresh, brittle martensite on cooling. Temper a second time.`,
  'temper-above-soak': () => 'A temper is as hot as the soak: check the figures.',
  untempered: () => 'Untempered martensite is brittle. Temper the same day.',
  'far-from-chart': p =>
    `Your readings of this steel are about ${roundTo(Math.abs(p.shiftHrc), 1)} HRC ${p.shiftHrc > 0 ? 'above' : 'below'} what its figures say. They are believed here; but check the tester on a block, whether the bar is this steel, and the oven’s true temperature.`,
  'outside-model': p =>
    `This composition is outside what the model was tried on: ${p.elements.map(o => `${o.value} % ${o.element} (tried on ${o.least} to ${o.most} %)`).join(', ')}. Trust its chart and your own readings, not the model.`,

  'tight-end': (p, say) =>
    `${say.length(p.endMm)} at the ends leaves no room to shear the packet open and draw the blade out: ${say.length(p.usualMm)} is usual.`,
  'thick-corner': (p, say) =>
    `Where an end fold crosses the seam ${p.layers} layers (${say.length(p.mm)}) are thicker than the blade: keep the corners outside the plates.`,
  'one-fold': () => 'One fold leaks: air burns the skin. Two are usual.',
  shared: () => 'Blades that share an envelope are quenched one by one: open it at the vice, and be quick.',
  'thick-seam': p => `A seam of ${p.layers} layers stands up: keep it off the blade.`,

  'thin-edge': (p, say) =>
    `${p.mark}: ${say.length(p.edgeMm)} at the edge is little more than the skin that may lose carbon on both sides (${say.thin(2 * p.skinMm)}).`,
  warp: (p, say) => `${p.mark}: under ${say.length(p.leastMm)} the edge waves in the quench.`,

  'not-reached': (p, say) =>
    `Step ${p.step} is not reached within ${say.minutes(p.longestMin)}: it is beyond what this oven can do.`,
  'not-loaded': () => 'A load never went in: the oven did not reach its temperature, or the programme ended before.',
  'not-soaked': (p, say) => `A blade never came within ${say.d(p.withinK)} of the soak: hold longer.`,
  'rate-limited': () => 'The climb is a straight line: it was held to a rate, so only the cooling was learnt from.',
  'log-not-followed': () =>
    'The model cannot follow this log: the door was opened, a load was in, or the power was held back. Do not use this fit. Log an empty run from cold at full power.',
  'no-cooling-leg': () =>
    'Without a cooling leg, what the wall conducts and what leaks past the door cannot be told apart: log on for an hour after the power is off, door shut.',
  'no-climb': () => 'Without a climb at full power, the power and the heat the wall takes in are not seen.',

  outside: (p, say) =>
    `does not stand inside the chamber, ${say.length(p.widthMm)} wide and ${say.length(p.depthMm)} deep.`,
  element: (p, say) => `stands within ${say.length(p.withinMm)} of an element: tip or edge runs hotter than the rest.`,
  overlap: () => 'stand in one another.',
  close: (p, say) =>
    `stand closer than ${say.length(p.withinMm)}. They shade one another and heat late. Split the load, or spread them.`,
  blocked: () => 'comes out early but stands behind a packet that stays.',

  'thin-plates': (p, say) =>
    `Plates of ${say.length(p.plateMm)} take up too little heat for a blade of ${say.length(p.bladeMm)}: use plates several times as thick.`,
  'small-plates': () => 'The plates do not cover the blade: the part outside cools last and bends.',
  melting: (p, say) => `${say.t(p.atC)} is near melting: check the figure.`,
  'plates-hot': (p, say) =>
    `Blade ${p.blade} would leave its clamp at ${say.t(p.leavesC)}: rest or cool the plates after ${p.blade - 1}, or take a second set.`,

  'air-refused': p => {
    const what =
      p.gas === 'co2'
        ? `CO2 would reach ${roundTo(p.level, 100)} ppm. Not in this room as it stands: chill outdoors, with less bath, or with the ventilation shown.`
        : `Oxygen would fall to ${p.level.toFixed(1)} %. Not in this room as it stands: outdoors, or with the ventilation shown and an oxygen alarm.`
    const needed =
      p.neededAirChangesPerH === null
        ? 'No ventilation of this room would do.'
        : `${p.neededAirChangesPerH} air changes per hour would do.`
    return `${what} ${needed}`
  },
  'air-limit': p =>
    `${Math.round(p.level)} ${airUnit(p.gas)} is over the ${AIR_LIMIT_WORDS[p.name]} of ${p.limit}. Keep a door open on each side, and do not stay beside the box.`,
  'nitrogen-spill': (p, say) =>
    `If the ${say.litres(p.litres)} that stand in the box are spilt, oxygen in this room falls to about ${p.oxygenPercent.toFixed(0)} %, and nobody feels it coming: out at once, door open, and back in only with an oxygen alarm that is silent. Keep less in the box or a larger room; your supplier’s safety sheet and local rules come first.`,
  solvent: (p, say) =>
    `${p.fluid} gives off vapour that a spark or the oven can ignite: its flash point of ${say.t(p.flashC)} is below room temperature. Mix it away from oven, sparks and pilot lights, and cover it loosely.`,

  'beside-blade': () => 'This is beside the blade.',
  bevel: () => 'On the bevel the blade rocks and the cone slips. Measure on a flat, best on the tang.',
  edge: (p, say) => `${say.length(p.mm)} from the edge: it needs ${say.length(p.leastMm)}.`,
  near: (p, say) => `${say.length(p.mm)} from another indent: it needs ${say.length(p.leastMm)}.`,
  slope: p =>
    `The tang tapers by ${p.degrees.toFixed(1)}° here: shim it until its face is square to the cone within ${p.withinDegrees}°.`,
  thin: (p, say) => `${say.length(p.mm)} thick here: the anvil changes the reading below ${say.length(p.leastMm)}.`,
}

const spoken = <C extends CautionCode>(
  { code, params }: { readonly code: C; readonly params: CautionCodes[C] },
  say: Speaker,
): string => CAUTION_WORDS[code](params, say)

/** A caution as a sentence in the shop's units. */
export const cautionWords = (caution: Caution, say: Speaker): string => spoken(caution, say)
