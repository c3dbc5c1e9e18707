import type { BandPart, FoilSource, NarrowedBy, WorkingCode, WorkingCodes, WorkingLine } from '../core/codes/working'
import { halfWidth95 } from '../core/numeric/coverage'
import type { CorrectedBy } from '../core/rockwell/verification'
import { PROTECTION } from '../data/protection'
import { STEEL_MODEL } from '../data/steel-model'
import { STEEL_THERMAL } from '../data/thermal'
import { FIGURE_NAMES } from './figures'
import { counted } from './lists'
import { hrcText, type Speaker } from './speaker'

/** Name, equation and source of a line of working. */
export interface WorkingWords {
  readonly name: string
  readonly equation: string
  readonly source: string
}

type Words<C extends WorkingCode> = (params: WorkingCodes[C], say: Speaker) => WorkingWords

const STEEL_HEAT = 'Debye model of steel, from memory'
const PRACTICE = 'common practice, no published source'
const HELD_OUT_SOURCE = 'error on steels left out of the fit, docs/method.md'
const METHOD_OVEN = 'wall model, docs/method.md, Oven'
const METHOD_PLATES = 'docs/method.md, Plates'
const line = (name: string, equation: string, source: string) => (): WorkingWords => ({ name, equation, source })

/** Says a source of a prediction's uncertainty. */
export function bandPartWords({ part, element }: BandPart): string {
  switch (part) {
    case 'model':
      return 'the model itself'
    case 'lot':
      return `${element} in the lot`
    case 'readings':
      return 'what your readings leave open'
    case 'batch':
      return 'from batch to batch, beside the oven'
    case 'soak-temperature':
      return 'austenitize temperature'
    case 'soak-time':
      return 'soak time'
    case 'temper-temperature':
      return 'temper temperature'
  }
}

const FOIL_FROM: Readonly<Record<FoilSource, string>> = {
  cut: 'length noted when the foil was cut',
  'by-hand': 'layout made by hand at Wrap',
  plan: 'cut plan at Wrap, docs/method.md, Foil',
  area: 'area of the envelopes: no cut plan fits the roll',
}
const TESTER_SOURCES: Readonly<Record<CorrectedBy, string>> = {
  block: 'your check on the block',
  unchecked: `no check on a block; ${PRACTICE}`,
  'tester-outside': `the check is outside the tester’s limits and corrects nothing; ${PRACTICE}`,
  'block-far': `the block is too far from these readings and corrects nothing; ${PRACTICE}`,
}
const NARROWED_BY: Readonly<Record<NarrowedBy, string>> = {
  'one-reading': 'one reading of a quenched blade',
  'three-readings': 'three readings of a quenched blade',
  'three-readings-checked': 'three readings on a tester checked that day',
}
const CORRECTION_KINDS = { sensor: 'sensor checks', survey: 'surveys', hardness: 'hardness' } as const
const M = STEEL_MODEL

/** Every line of working in words. Equations are those of the sources, in the units of their sources. */
export const WORKING_WORDS: { readonly [C in WorkingCode]: Words<C> } = {
  'solubility-product': line('Solubility product', '[C]·[Cr]ⁿ = k·exp(q(1/1353 − 1/T))', M.solubility.source),
  'dissolved-by-soak': line('Dissolved by the soak', '1 − exp(−(t/τ)^0.8)', M.kinetics.source),
  'carbon-in-austenite': line('Carbon in austenite', 'mass balance of the chromium carbide', M.carbide.source),
  'chromium-in-austenite': line('Chromium in austenite', 'mass balance of the chromium carbide', M.carbide.source),
  'martensite-start': line(
    'Martensite start',
    `Ms = 539 − 423(C+N) − 30.4Mn − 17.7Ni − 12.1Cr − 7.5Mo + ${M.martensiteStart.offsetC.toFixed(0)}, Celsius`,
    M.martensiteStart.source,
  ),
  'martensite-start-other': line(
    'The same by the other formula',
    'Ms = 561 − 474(C+N) − 33Mn − 17Cr − 17Ni − 21Mo, Celsius; for comparison only',
    'Steven and Haynes (1956), from memory',
  ),
  'retained-quenched': line('Retained austenite as quenched', 'exp(−0.011(Ms − T))', M.retained.source),
  'retained-cold': line(
    'Retained austenite after cold',
    'stable part + rest·exp(−0.011(Ms − T))',
    M.stabilisation.source,
  ),
  'soft-products': line('Soft products of a slow quench', '1 − exp(−a(t/t_limit)²)', M.slowQuench.source),
  'untempered-model': line(
    'Untempered hardness, model',
    'HV of martensite, austenite and carbide, to HRC by ASTM E140',
    M.martensite.source,
  ),
  'tempering-parameter': line('Tempering parameter', 'P = T(20 + log10 t)/1000', M.temper.source),
  'tempering-chart': p => ({
    name: 'Tempering chart',
    equation: 'chart(P) + model(route) − model(reference)',
    source: p.source,
  }),
  'chart-and-model': p => ({
    name: `Chart and model, ± ${hrcText(halfWidth95(p.sdHrc))}`,
    equation: 'before your own readings',
    source: HELD_OUT_SOURCE,
  }),
  'own-readings': p => ({
    name: 'Your own readings',
    equation: `Gaussian process on measured less predicted; ${p.readings} readings of this grade`,
    source: 'Rasmussen and Williams (2006), algorithm 2.1',
  }),
  'band-one-sigma': p => ({
    name: 'Uncertainty, one standard deviation',
    equation: `√(Σ s²) of ${p.parts
      .filter(part => part.sd >= 0.05)
      .map(part => `${bandPartWords(part)} ${part.sd.toFixed(2)}`)
      .join(', ')}`,
    source: `${HELD_OUT_SOURCE}; ${M.shopTemperature.source}`,
  }),

  'band-narrowed': p => ({
    name: `Half of the 95 % range after ${NARROWED_BY[p.by]}`,
    equation: '1.96/√(1/s² + 1/u²), u of the readings and of the change to the finished hardness',
    source: 'product of two normal densities, Gelman et al., Bayesian Data Analysis, 2.5',
  }),

  'readings-mean': p => ({ name: 'Mean', equation: 'Σx/n', source: p.n === 1 ? '1 reading' : `${p.n} readings` }),
  'scatter-of-mean': p => ({
    name: 'Scatter of the mean',
    equation: `s/√n; s = ${p.sdHrc.toFixed(2)} with ${p.degreesOfFreedom} degrees of freedom, from these readings and the ${p.beforeHrc.toFixed(2)} known before`,
    source: 'GUM (JCGM 100) 4.2; scaled inverse-χ² prior, Gelman et al., Bayesian Data Analysis 2.6, from memory',
  }),
  'dial-resolution': line('Resolution', '0.5/√12', 'GUM (JCGM 100) F.2.2'),
  'test-block': p => ({
    name: 'The tester',
    equation:
      p.by === 'block' ? '√(s_cert² + s²/n on the block)' : 'one standard deviation of testers without a good check',
    source: TESTER_SOURCES[p.by],
  }),
  'coverage-factor': line('Coverage factor', 't(0.975, ν), ν by Welch-Satterthwaite', 'GUM (JCGM 100) G.4'),

  'steel-heat-dry-ice': line('Steel', 'mass times the heat between room and dry ice', STEEL_HEAT),
  'bath-heat': p => ({ name: 'Bath', equation: 'm·c·ΔT', source: p.source }),
  'vessel-heat': line('Vessel', 'm·c·ΔT', 'specific heat of metals, textbook value, from memory'),
  'leak-heat': line('Leak while holding', 'UA·ΔT·t', 'box loss as entered'),
  'sublimation-heat': p => ({ name: 'Heat of sublimation', equation: 'mass = heat / latent', source: p.source }),
  'co2-in-room': line(
    'CO2 in the room',
    'V dC/dt = S(1 − C) + Q(C₀ − C); chill over 15 min, then the hold',
    'well-mixed room',
  ),
  'steel-heat-nitrogen': line(
    'Steel and vessel',
    'mass times the heat between room and nitrogen, and the vessel',
    STEEL_HEAT,
  ),
  'vaporisation-heat': p => ({
    name: 'Heat of vaporisation',
    equation: 'volume = heat / (latent · density)',
    source: p.source,
  }),
  'oxygen-after-spill': line(
    'Oxygen if the standing liquid is spilt and boils at once',
    '20.9·(1 − standing litres · gas per litre / room)',
    'simple displacement of a closed room',
  ),
  'oxygen-in-room': line(
    'Oxygen in the room',
    '20.9·(1 − N₂ added); chill over 15 min, then the hold',
    'well-mixed room',
  ),

  'contact-through-foil': (p, say) => ({
    name: 'Contact through the foil',
    equation: p.plates ? `clamped foil ${say.transfer(300)} to ${say.transfer(1200)}` : 'blade lumped, with radiation',
    source: PRACTICE,
  }),
  'steel-on-cooling': line(
    'Steel on cooling',
    'H(T) carried, f = 1 − exp(−0.011(Ms − T)); c rises with T, martensite gives back its heat',
    STEEL_THERMAL.source,
  ),
  'rate-800-500': (p, say) => ({
    name: `${say.bare(800)} to ${say.t(500)}`,
    equation: p.plates
      ? 'conduction in one dimension, SDIRK2; plates spread sideways and give to air'
      : 'dH/dt = −(h ΔT + εσ ΔT⁴)·2/t',
    source: METHOD_PLATES,
  }),

  'skin-bare': line('Bare, it would lose carbon to', '√(Dt), D = D0·exp(−Q/RT)', PROTECTION.carbonDiffusion.source),
  'skin-share': line('Share by protection', 'bare 1, gas in the oven 0.3, coat ¼, foil ⅒, foil and gas 0.05', PRACTICE),
  'tang-taper': line('Taper of the tang', 'spine − tang end', 'geometry'),
  'protection-material': line('Material', 'amount · price', 'prices as set in the Workshop'),
  'protection-work': (p, say) => ({
    name: 'Work',
    equation: `${p.blades} blades, at ${say.money(p.hourPrice)} per hour`,
    source: PRACTICE,
  }),

  'tray-weight': (_, say) => ({
    name: 'Weight',
    equation: `Σ length · width · thickness · ${say.density(7700)}, as plain bars`,
    source: 'density of steel, textbook value, from memory',
  }),
  'hottest-step': (p, say) => ({
    name: 'Hottest step',
    equation: `hottest + correction + ${say.d(p.marginK)} ≤ limit`,
    source: `limits: ${PRACTICE}`,
  }),
  'foil-bound': p => ({
    name: 'No plan can use less than',
    equation: p.proven
      ? 'every guillotine pattern tried, or the bound met'
      : 'bar relaxation, rounded up to a sum of sides',
    source: 'docs/method.md, Foil',
  }),
  'foil-over-bound': line('This plan is above that by', 'used / bound − 1', 'guillotine strip packing'),
  'foil-left-over': line('Left over inside the used length', '1 − sheets / (length · width)', 'geometry'),
  'foil-cost': p => ({
    name: 'Cost of foil',
    equation: `length × price per length${p.factor === 1 ? '' : ` × ${p.factor} for the hotter type of foil`}`,
    source: FOIL_FROM[p.from],
  }),
  'foil-cost-per-blade': p => ({
    name: FIGURE_NAMES['foil-cost-per-blade'](p),
    equation: `cost of foil ÷ ${counted(p.blades, 'blade')}`,
    source: 'the same foil as in the cost of the batch',
  }),
  'foil-price': line('Price of foil per metre', 'as set in the Workshop', 'your own price'),
  'foil-used': line('Used length', 'length · price / blades', 'price as set in the Workshop'),
  'climb-rate': p => ({
    name: p.preheated ? 'Climb from the preheat' : 'Climb, the blade going in cold',
    equation: 'oven at full power',
    source: 'wall model of this oven, docs/method.md',
  }),
  'lag-alone': (_, say) => ({
    name: 'Alone',
    equation: `lumped blade in foil: radiation, gap conduction, within ${say.d(5)}`,
    source: `ε 0.70 outside, 0.35 and 0.40 inside, ${say.length(0.5)} gap; textbook values, from memory`,
  }),
  'lag-crowded': line('Crowded, view 0.42', 'the same with a part of the chamber hidden', 'view of strips on edge'),
  'to-full-heat': p => ({
    name: p.afterLoad ? 'From the load before being out' : 'From oven on',
    equation: 'the programme as keyed, packets in at their entry, doors and walls followed',
    source: METHOD_OVEN,
  }),
  'heat-energy': line('Energy', 'what the elements take through the programme, soak and 25 min of pulls', METHOD_OVEN),
  'heat-cost': line('Cost of the energy', 'kWh × price', 'price from the Workshop'),
  'blade-between-plates': (p, say) => ({
    name: `Blade ${p.blade}: plates at ${say.t(p.plateC)}, it leaves at`,
    equation: 'one-dimensional conduction, plates spread sideways and give to air',
    source: METHOD_PLATES,
  }),
  'third-martensite': line(
    'Ends at a third martensite',
    'Ms + ln(1 − 0.35)/0.011',
    `Koistinen and Marburger (1959); the share: ${PRACTICE}`,
  ),
  'warm-seconds': line('Seconds', 'lumped, bare, still air', METHOD_PLATES),
  'temper-lag': (p, say) => ({
    name: p.fan === null ? 'Lag' : p.fan ? 'Lag with a fan' : 'Lag in still air',
    equation: `ρc(t/2)·dT/dt = h·ΔT + εσ·Δ(T⁴) to within ${say.d(3)}; h ${say.transfer(25)} with a fan, ${say.transfer(10)} without, ε 0.3`,
    source: 'lumped blade, textbook values, from memory',
  }),
  'coolest-temper': line('Coolest temper of the route', 'heat above the temper softens', PRACTICE),
  'chance-in-target': p => ({
    name: FIGURE_NAMES['chance-in-target'](p),
    equation: 'Φ((max − mean)/s) − Φ((min − mean)/s), with mean and s of the finished hardness',
    source: 'normal distribution; tested against 2,000 draws of composition, oven and model error',
  }),

  'batch-cost': p => ({
    name: 'Cost of the batch',
    equation: `everything paid for it, shared by ${p.good} good blades`,
    source: 'prices and minutes of the Workshop; hours of the run as measured where it was run',
  }),
  'full-power-climb': p => ({
    name: 'Climb at full power',
    equation: 'heat through the wall’s layers, by glow and air, in steps of 20 s until the display shows it',
    source:
      p.logName === null ? 'wall model of the size, docs/method.md' : `wall model with what “${p.logName}” taught`,
  }),
  'mains-current': p => ({
    name: FIGURE_NAMES['mains-current'](p),
    equation: 'power ÷ voltage',
    source: 'as entered',
  }),
  'correction-by': (p, say) => ({
    name: `By ${CORRECTION_KINDS[p.kind]} alone (${p.count}), ± ${say.d(p.sdK)}`,
    equation: `line in temperature, prior ${say.d(10)}, weights by variance and age`,
    source: 'Bayesian linear regression, Bishop (2006), eq. 3.50 and 3.51',
  }),
}

const spoken = <C extends WorkingCode>(
  { code, params }: { readonly code: C; readonly params: WorkingCodes[C] },
  say: Speaker,
): WorkingWords => WORKING_WORDS[code](params, say)

export const workingWords = (working: WorkingLine, say: Speaker): WorkingWords => spoken(working, say)
