import { FITTED } from './steel-fitted'

/**
 * Constants of the composition-to-hardness model. Units in the names or beside the value.
 * Those of FITTED started from the stated source and were moved by least squares over handbook tempering tables and facts
 * of the trade, with a prior at the starting value: `npm run calibrate`, docs/method.md.
 */
export const STEEL_MODEL = {
  /**
   * Carbon held by MC carbides, wt% C per wt% V and per wt% Nb (stoichiometry of VC, NbC). Vanadium in solution:
   * log10([V]·[C]) = 6.72 − 9500/T at a reference carbon, with a part that chromium carbide takes along.
   */
  mc: {
    carbonPerVanadium: 0.19, carbonPerNiobium: 0.125,
    logProduct: FITTED['mc.logProduct'], productK: 8934, perCr: FITTED['mc.perCr'], perMo: FITTED['mc.perMo'], referenceCarbon: 0.5,
    source: 'stoichiometry of VC, NbC; solubility product of VC, textbook, from memory, scaled for high alloy',
  },
  /** M6C of high-speed steels. Molybdenum equivalent = Mo + W/2, wt%: what it holds, and what austenite holds at 1210 °C. */
  m6c: {
    carbon: 2, equivalent: 42, soluble: 4.4, atC: 1210, qK: 6000, chromiumBelow: 7, chromiumWidth: 0.5,
    source: 'matrix of M2 after hardening, textbook values, from memory',
  },
  /** Carbon and chromium of the chromium carbides, wt%; blended by carbon over chromium. Cementite below about 3 % Cr. */
  carbide: {
    m23c6: { C: 5.6, Cr: 62 },
    m7c3: { C: 8.7, Cr: 46 },
    ratioCentre: 0.1,
    ratioWidth: 0.01,
    molybdenumEnrichment: 3,
    cementite: { C: 6.67, chromiumEnrichment: 5, chromiumBelow: 2.8, chromiumWidth: 0.15 },
    source: 'stoichiometry of M23C6, M7C3 and M3C with iron, textbook metallurgy, from memory',
  },
  /** Carbon and nitrogen share the chromium carbide; nitrogen by its atomic weight. */
  nitrogenAsCarbon: 12.01 / 14.01,
  /**
   * Solubility product [C]·[Cr]^n·11^(1−n) = k·exp(q(1/1353.15 − 1/T)), wt%.
   * Calibrated: starts 6.3, 7800 K, n = 1 from chromium in solution of D2 type and 1.7C-18Cr-1Mo-3V.
   */
  solubility: {
    k: FITTED['solubility.k'], qK: FITTED['solubility.qK'], exponent: FITTED['solubility.exponent'], referenceCr: 11,
    source: 'calibrated on chromium in solution and handbook hardness',
  },
  /** Carbon that austenite holds beside cementite (the Acm line of iron and carbon), wt%, less by chromium. */
  acm: {
    points: [[727, 0.77], [800, 0.95], [850, 1.1], [900, 1.25], [1000, 1.55], [1148, 2.11]],
    perChromium: FITTED['acm.perChromium'],
    source: 'iron-carbon diagram, textbook, from memory; chromium: calibrated on 1C-1.5Cr',
  },
  /**
   * Approach to equilibrium 1 − exp(−(t/τ)^0.8). Chromium carbide calibrated (starts τ = 6 min at 1050 °C); cementite
   * dissolves at lower temperatures, slower with chromium. Factors on τ: powder is finer; a lamellar or already
   * hardened start has no coarse spheres to dissolve.
   */
  kinetics: {
    tauMin: FITTED['kinetics.tauMin'], atC: 1050, qK: FITTED['kinetics.qK'],
    perChromium: FITTED['kinetics.perChromium'], atChromium: 13, exponent: 0.8,
    cementite: { tauMin: FITTED['kinetics.cementite.tauMin'], atC: 845, qK: 25000, perChromium: 0.8 },
    powder: 0.6, start: { annealed: 1, lamellar: 0.4, hardened: 0.5 },
    source: 'Avrami form, calibrated; start and powder: common practice, no published source',
  },
  /** Andrews (1965), JISI 203, 721: linear formula, °C per wt%; the offset is calibrated for more than 5 % Cr. */
  martensiteStart: {
    base: 539, CN: -423, N: FITTED['martensiteStart.N'], Mn: -30.4, Ni: -17.7, Cr: -12.1, Mo: -7.5, offsetC: FITTED['martensiteStart.offsetC'],
    source: 'Andrews (1965), linear; offset calibrated',
  },
  /** Koistinen and Marburger (1959), Acta Met. 7, 59. Per kelvin below Ms. */
  retained: { perK: 0.011, source: 'Koistinen and Marburger (1959)' },
  /**
   * Austenite that rests at room temperature resists cold: fraction stabilised, its growth per decade of delay, and
   * what a snap temper adds (all of `snap` from `snapFullC` up).
   */
  stabilisation: {
    fraction: 0.25, atDelayMin: 30, perDecade: 0.08, perK: FITTED['stabilisation.perK'], atBelowMsK: 115, snap: 0.15, snapFullC: 180, least: 0.1, most: 0.9,
    source: 'common practice, no published source',
  },
  /**
   * Vickers of martensite after Maynier et al. (1978): 127 + 949 C + 27 Si + 11 Mn + 8 Ni + 16 Cr + 21 log10(rate).
   * The rate term of a plate quench adds 76; carbon counts less above 0.56 %; chromium up to 6.4 %. Calibrated.
   */
  martensite: {
    base: 127, rate: FITTED['martensite.rate'], rateLean: FITTED['martensite.rateLean'], rateLeanCr: 3,
    nitrogenAsCarbon: FITTED['martensite.nitrogenAsCarbon'], carbon: FITTED['martensite.carbon'], carbonKnee: 0.56, carbonAbove: FITTED['martensite.carbonAbove'],
    Si: 27, Mn: 11, Ni: 8, Cr: 16, crMax: FITTED['martensite.crMax'],
    source: 'after Maynier et al. (1978), carbon knee, chromium limit and rate term calibrated; more of it where chromium is low',
  },
  austeniteHv: FITTED.austeniteHv,
  /** Hardening by undissolved carbide, relative per wt%. */
  carbideHardening: { chromium: FITTED['carbideHardening.chromium'], mc: FITTED['carbideHardening.mc'], powder: FITTED['carbideHardening.powder'], carbonOfMc: 13, source: 'rule of mixtures, calibrated' },
  /**
   * Hollomon and Jaffe (1945), Trans. AIME 162, 223, with constant 20; drop and hump calibrated. Dissolved molybdenum
   * (with W/2) slows the early softening, raises the hump and, past 1 %, moves hump and overtempering to higher P; steels
   * with little chromium go on softening where chromium grades rest on a plateau.
   */
  temper: {
    constant: 20,
    drop: FITTED['temper.drop'], from: 7.3, width: FITTED['temper.width'], power: FITTED['temper.power'],
    dropLessPerMo: FITTED['temper.dropLessPerMo'], dropLessPerV: FITTED['temper.dropLessPerV'],
    dropPerC: FITTED['temper.dropPerC'], dropPerCAbove: FITTED['temper.dropPerCAbove'], leastDrop: FITTED['temper.leastDrop'],
    hump: {
      base: FITTED['temper.hump.base'], perMo: FITTED['temper.hump.perMo'], perV: FITTED['temper.hump.perV'],
      perCCr: FITTED['temper.hump.perCCr'], fromC: FITTED['temper.hump.fromC'], fromCWidth: FITTED['temper.hump.fromCWidth'], fromCr: 3,
      at: FITTED['temper.hump.at'], width: FITTED['temper.hump.width'],
    },
    shift: { perMo: FITTED['temper.shift.perMo'], fromMo: 1, perV: FITTED['temper.shift.perV'], chromiumBelow: FITTED['temper.shift.chromiumBelow'], chromiumWidth: 0.5 },
    over: { from: FITTED['temper.over.from'], slope: FITTED['temper.over.slope'], power: FITTED['temper.over.power'], perCr: FITTED['temper.over.perCr'], fromCr: 8 },
    lean: {
      from: FITTED['temper.lean.from'], slope: FITTED['temper.lean.slope'], power: FITTED['temper.lean.power'],
      chromiumFull: 3,
    },
    source: 'Hollomon and Jaffe (1945); shape calibrated on handbook tempering tables',
  },
  /** Retained austenite breaks down on cooling from a temper: half gone at this temperature. */
  temperDecomposition: {
    halfAtC: FITTED['temperDecomposition.halfAtC'], leanHalfAtC: 260, widthC: 18,
    source: 'handbook statement "above about 450 °C"; low-alloy steel: second stage of tempering, 200 to 300 °C, textbook, from memory',
  },
  corrosion: {
    perMo: 3.3, perN: 16,
    /** Chromium in solution that makes a steel stainless, wt%, and over how much it comes. EN 10088-1 sets 10.5 %, from memory. */
    passiveCr: 10.5, passiveWidth: 0.35, saltCr: 12.5, saltIndex: 17,
    penaltyFromC: 400, penaltyFullC: 520, penaltyMax: 0.45,
    slowFromS: 60, slowScaleS: 240, slowMax: 0.25,
    source: 'PREN of the matrix (ISO 15156-3 form); penalties: common practice, no published source',
  },
  /**
   * Undissolved carbide pins the grain: it coarsens where less than `need` is left (share of the steel, MC counted
   * `mcWeight` times), a need that grows e-fold every `perC` above `atC`. `base` is what fine nitrides of killed steel
   * do, `perChromium` the drag of dissolved chromium on the boundaries.
   */
  grain: {
    need: 0.006, atC: 1050, perC: 60, mcWeight: 1.5, base: 0.0002, perChromium: 0.00066,
    source: 'pinning after Zener, calibrated on common practice',
  },
  /** Slower from 800 to 500 °C than a grade allows: share of soft products grows with the square of the ratio. */
  slowQuench: { share: 0.05, productHrc: 38, source: 'Avrami form, common practice, no published source' },
  /** Where families of steel part, wt%: chromium, lean carbon or nitrogen in stainless ingot steel, molybdenum with half the tungsten, and more vanadium than that. */
  families: { lowAlloyBelowCr: 2.8, stainlessFromCr: 12.5, leanBelowC: 0.5, nitrogenFrom: 0.1, highSpeedFromMo: 3.5, vanadiumRichFromV: 2 },
  /**
   * Steps over which the model's error grows by one HELD_OUT.far: C, Cr, Mo + W/2, V, N in wt%, austenitize °C, tempering parameter.
   */
  distance: { steps: [0.35, 4, 1.5, 1.5, 0.12, 45, 2], source: 'judged, about the spacing of the stated figures' },
  /** Scatter of a small shop's ovens, one standard deviation, °C and min. */
  shopTemperature: { austenitizeSdC: 6, temperSdC: 5, soakSdMin: 1, source: 'common practice, no published source' },
  /** One sigma of a stated analysis, wt%: a share of the value and a fixed part. */
  analysis: { relative: 0.015, absolute: 0.005, source: 'product analysis of a mill certificate, from memory' },
  /** Compositions the model was tried on, wt%. */
  valid: { C: [0.28, 2.9], Cr: [0, 20], Mo: [0, 9], V: [0, 10], W: [0, 18], N: [0, 0.45], Ni: [0, 2], Si: [0, 1.5], Mn: [0, 2], Nb: [0, 1] },
  /** Hot-work steel, lean in carbon and under stainless chromium, hardens by vanadium in a way that is not modelled, wt%. */
  hotWork: { belowC: 0.45, belowCr: 10, fromCr: 4 },
} as const

/** More retained austenite than this is felt at an edge, 0..1. Common practice, no published source. */
export const MUCH_AUSTENITE = 0.2
